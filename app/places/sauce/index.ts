import { type PlanSauce, startAt } from "#core/plan";
import { durationWords } from "#core/time";
import type { Reading } from "../../ui/words/reading.ts";
import type { Headline, PaperLine, Place, PlaceGiven } from "../Place.ts";
import { potView, saltWords } from "./pot.view.ts";

export const sauce: Place = {
	key: "sauce",
	figure: ({ plan, reading }) => reading.volume(plan.sauce_l),
	task: (_, { plan, reading }) => `Finish ${reading.volume(plan.sauce_l)} of sauce`,
	headline,
	takes: ({ line }) => line.role === "thickener" || line.group === "finish",
	drawing: potView,
	paper,
};

/** Less than this is not worth keeping, litres. */
const A_LADLE_L = 0.2;

/** "; 3.1 l of it is drawn off" */
function leftWords({ there_l, take_l }: PlanSauce, reading: Reading): string {
	const left_l = there_l - take_l;
	return left_l > A_LADLE_L ? `; ${reading.volume(left_l)} of it is over` : "";
}

function headline({ plan, reading }: PlaceGiven): Headline {
	const { recipe } = plan;
	const wanted = reading.volume(plan.sauce_l);
	const from = `From ${reading.clock(startAt(plan, "sauce"))}`;
	const plate = { figure: reading.volume(recipe.sauce_ml / 1000), label: "a plate" };
	if (!plan.sauce) return { title: `${wanted} of sauce`, says: `${from}.`, facts: [plate] };
	const planned = plan.sauce;
	const first = planned.remedies[0];
	const reduces = first?.kind === "reduce" && planned.take_l > planned.wanted_l;
	return {
		title: reduces ? `Reduce ${reading.volume(planned.take_l)} to ${wanted}` : `${wanted} of sauce`,
		says: `${from}, out of ${reading.volume(planned.there_l)} that will be left${leftWords(planned, reading)}. Skim ${reading.mass(planned.fat_kg)} of fat first.`,
		facts: [
			...(planned.pot
				? [
						{
							figure: reading.length(planned.mark_mm),
							label: `on the stick in ${planned.pots > 1 ? `each of ${planned.pots} ` : "the "}${planned.pot.name}`,
						},
					]
				: []),
			...(reduces ? [{ figure: durationWords(first.minutes), label: "at a rolling boil" }] : []),
			...(plan.salt_pct === null ? [] : [{ figure: saltWords(plan.salt_pct), label: "salt at the end" }]),
			plate,
		],
	};
}

/** What the sauce comes to, and the mark it is reduced to. */
function paper({ plan, reading }: PlaceGiven): PaperLine[] {
	const planned = plan.sauce;
	if (!planned || planned.wanted_l === 0) return [];
	const there = `${reading.volume(planned.there_l)} left, ${reading.volume(planned.wanted_l)} wanted`;
	const way = planned.remedies.find(({ kind }) => kind === "reduce" || kind === "thin");
	const line = (text: string) => [{ what: "Sauce", text }];
	if (way?.kind === "thin") return line(`${there}: add ${reading.volume(way.stock_l)} of stock`);
	if (way?.kind !== "reduce") return line(there);
	const where =
		planned.pots > 1 ? `each of ${planned.pots} ${planned.pot?.name}` : `the ${planned.pot?.name}`;
	const stick = planned.pot ? `to ${reading.length(way.mark_mm)} on the stick in ${where}, ` : "";
	return line(
		`${there}: skim ${reading.mass(planned.fat_kg)} of fat, reduce ${reading.volume(planned.take_l)} ${stick}about ${durationWords(way.minutes)}`,
	);
}
