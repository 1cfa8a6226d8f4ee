import type { WorkedDish } from "#core/day";
import { startAt } from "#core/dish";
import { type ChosenPan, lineWords } from "#core/pans";
import { declaredWords } from "#core/recipe";
import { LIDS } from "#core/trade";
import type { Sitting } from "#db";
import { panShown } from "../places/shownAt.ts";
import type { Shown } from "../ui/parts/shown.ts";
import type { WorkedRow } from "../ui/server/worked.server.ts";
import type { Reading } from "../ui/words/reading.ts";

export interface PanLabel {
	readonly number: string;
	readonly pan: string;
	readonly figures: readonly {
		readonly label: string;
		readonly figure: string;
		/** What it is of the task that its pan goes in with. */
		readonly shown?: Shown;
	}[];
}

/** One label for each pan of a dish, as it is stuck to its rim. @param tag its letter, where its day was issued */
export function labelsView(row: WorkedRow, sitting: Sitting, reading: Reading, tag = "") {
	const { dish, plan } = row;
	const head = {
		dish: dish.recipe.name,
		service: `${reading.day(sitting.serviceAt)} ${reading.time(sitting.serviceAt)}`,
		sitting: sitting.name,
	};
	if (!plan) return { ...head, allergens: "", labels: [], refused: row.refused ?? "" };
	return {
		...head,
		allergens: declaredWords(plan.allergens),
		labels: plan.pans.pans.map((pan, index): PanLabel => {
			const own = panShown(pan, dish.id, index);
			return {
				number: `${tag}${index + 1} of ${plan.pans.pans.length}`,
				pan: plan.pans.goes > 1 ? `${pan.type.name}, go ${pan.go} of ${plan.pans.goes}` : pan.type.name,
				figures: [
					{ label: pan.pieces === 1 ? "piece" : "pieces", figure: String(pan.pieces), shown: own.pieces },
					{ label: `dip; liquid ${lineWords(plan.recipe.braise.line)}`, figure: reading.length(pan.dip_mm) },
					{ label: "poured", figure: reading.volume(pan.liquid_l), shown: own.poured },
					{ label: "to carry", figure: reading.mass(pan.lifted_kg), shown: own.carried },
					{
						label: LIDS[dish.recipe.braise.lid],
						figure: reading.temperature(setFor(pan, plan)),
						...ofTask(pan, plan, "words"),
					},
					{
						label: `in; check from ${reading.time(plan.tender.low)}`,
						figure: reading.time(inFor(pan, plan)),
						...ofTask(pan, plan, "start"),
					},
				],
			};
		}),
		refused: null,
	};
}

/** The oven a pan stands in; the card's own temperature where it has none. */
function groupFor(pan: ChosenPan, { braise }: WorkedDish) {
	return braise?.groups.find(({ pans }) => pans.includes(pan));
}

function setFor(pan: ChosenPan, plan: WorkedDish): number {
	return groupFor(pan, plan)?.set_C ?? plan.recipe.braise.oven_C.set;
}

function taskFor(pan: ChosenPan, plan: WorkedDish) {
	const group = groupFor(pan, plan);
	return plan.tasks.find(({ figures }) => group !== undefined && figures.group === group.id);
}

function inFor(pan: ChosenPan, plan: WorkedDish): number {
	return taskFor(pan, plan)?.start ?? startAt(plan, "braise");
}

function ofTask(pan: ChosenPan, plan: WorkedDish, what: "words" | "start"): { readonly shown?: Shown } {
	const task = taskFor(pan, plan);
	return task
		? { shown: { what, of: task.id, value: what === "start" ? task.start : setFor(pan, plan) } }
		: {};
}

export type LabelsView = ReturnType<typeof labelsView>;
