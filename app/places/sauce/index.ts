import type { WorkedDish } from "#core/day";
import { FIRST_LOOK, type Liquor, lastStartAt, type PlanSauce, startAt } from "#core/dish";
import { ALLERGENS } from "#core/recipe";
import { durationWords } from "#core/time";
import type { Reading } from "../../ui/words/reading.ts";
import type { Headline, PaperLine, Place, PlaceGiven } from "../Place.ts";
import { workAt } from "../sums.ts";
import { potView, saltWords } from "./pot.view.ts";
import { sauceSums } from "./sums.ts";

export const sauce: Place = {
	key: "sauce",
	figure: ({ plan, reading }) => reading.volume(plan.sauce_l),
	task: (_, { plan, reading }) => `Finish ${reading.volume(plan.sauce_l)} of sauce`,
	headline,
	sums: ({ plan }) => [...sauceSums(plan), ...workAt(plan, "sauce")],
	takes: ({ line }) => line.role === "thickener" || line.group === "finish",
	drawing: potView,
	paper,
};

/** Less than this is not worth a word, litres. */
const A_LADLE_L = 0.2;

/** Where what is over goes: over the meat, and under a label. */
function overWords({ liquor, recipe }: WorkedDish, reading: Reading): string {
	if (!liquor) return "";
	const { moistens_l, litres, useBy } = liquor;
	const moist = moistens_l > A_LADLE_L ? [`${reading.volume(moistens_l)} moistens the meat`] : [];
	const label =
		litres > 0
			? [
					`label ${reading.volume(litres)} “${recipe.name}, liquor, ${allergenWords(liquor)}, use by ${reading.day(useBy)}”`,
				]
			: [];
	const words = [...moist, ...label].join("; ");
	return words ? ` Over: ${words}.` : "";
}

function allergenWords({ allergens }: Liquor): string {
	const contains = allergens
		.filter(({ presence }) => presence === "contains")
		.map(({ allergen }) => ALLERGENS[allergen]);
	const notKnown = allergens.some(({ presence }) => presence === "notKnown");
	const words = [...contains, ...(notKnown ? ["others not known"] : [])];
	return words.length > 0 ? `contains ${words.join(", ")}` : "none of the listed allergens";
}

/** What boils down while the meat still braises. */
function drawnWords({ drawn }: PlanSauce, at: string, reading: Reading): string {
	if (!drawn) return "";
	return ` At the first look, ${at}, draw off ${reading.volume(drawn.litres)} and boil ${reading.volume(drawn.boilsAway_l)} of it away, ${durationWords(drawn.minutes)}, while the meat stays covered.`;
}

/** When somebody looks first. */
function firstLook(plan: WorkedDish, reading: Reading): string {
	const into = lastStartAt(plan, "braise");
	return reading.clockAfter(into + plan.braise_min.likely * FIRST_LOOK * 60_000, into);
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
		says: `${from}, out of ${reading.volume(planned.there_l)} that will be left${planned.pot ? `, in ${potWords(planned)}` : ""}. Skim ${reading.mass(planned.fat_kg)} of fat first.${drawnWords(planned, firstLook(plan, reading), reading)}${overWords(plan, reading)}`,
		facts: [
			...(planned.pot
				? [
						{
							figure: reading.length(planned.mark_mm),
							label: `on the stick in ${potWords(planned)}`,
						},
					]
				: []),
			...(reduces
				? [{ figure: durationWords(planned.after_min), label: "at a rolling boil after the lift" }]
				: []),
			...(plan.salt_pct === null ? [] : [{ figure: saltWords(plan.salt_pct), label: "salt at the end" }]),
			plate,
		],
	};
}

/** "each of 2 Rondeau 400", "the Tilting pan, filled twice" */
function potWords({ pot, pots, goes }: PlanSauce): string {
	const which = pots > 1 ? `each of ${pots} ${pot?.name}` : `the ${pot?.name}`;
	return goes > 1 ? `${which}, filled ${goes === 2 ? "twice" : `${goes} times`}` : which;
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
	const stick = planned.pot ? `to ${reading.length(way.mark_mm)} on the stick in ${potWords(planned)}, ` : "";
	const reduced = `${there}: skim ${reading.mass(planned.fat_kg)} of fat, reduce ${reading.volume(planned.take_l)} ${stick}about ${durationWords(planned.after_min)} after the lift.`;
	const all = `${reduced}${drawnWords(planned, firstLook(plan, reading), reading)}${overWords(plan, reading)}`;
	return line(all.replace(/\.$/, ""));
}
