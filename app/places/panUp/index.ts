import { sumBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { acidsUnderFoil, countByType } from "#core/dish";
import { lineWords } from "#core/pans";
import type { PlacedTask } from "#core/tasks";
import { LIDS } from "#core/trade";
import { counted } from "../../ui/words/reading.ts";
import { type Headline, NO_LINES, type Place, type PlaceGiven, type TableGiven } from "../Place.ts";
import { present, workAt } from "../sums.ts";
import { fewPansWords, pansWords } from "../words.ts";
import { panUpView } from "./panUp.view.ts";
import { panSums } from "./sums.ts";

export const panUp: Place = {
	key: "panUp",
	figure: ({ plan }) => fewPansWords(plan),
	task: (task, { plan }) => `Pan up, ${inGoWords(task, plan)}`,
	headline,
	sums: (given) => [...present(given.plan.sums.pieces), ...panSums(given), ...workAt(given.plan, "panUp")],
	takes: NO_LINES,
	drawing: (given: TableGiven) => (given.plan.pans.pans.length > 0 ? panUpView(given) : undefined),
	paper: ({ plan }) => [
		{
			what: "Pan up",
			text: `Cover with ${coverWords(plan)}; liquid ${lineWords(plan.recipe.braise.line)}`,
		},
	],
};

/** The pans of one filling. */
function inGoWords({ figures: { go = 1 } }: PlacedTask, { pans }: WorkedDish): string {
	return pansWords({ pans: { ...pans, goes: 1, pans: pans.pans.filter((pan) => pan.go === go) } });
}

function headline({ plan, reading, kitchen }: PlaceGiven): Headline {
	const { pans } = plan.pans;
	const { braise } = plan.recipe;
	const [full] = pans;
	if (!full) return { title: "No pan for it", says: "See the warning below.", facts: [] };
	const had = countByType(plan.pans);
	const left = had.map(({ type, count }) => `${count} of ${type.stock} ${type.name}`);
	const often = plan.pans.goes > 1 ? `, filled ${plan.pans.goes} times` : "";
	return {
		title: `${counted(
			sumBy(had, ({ count }) => count),
			"pan",
		)}${often}, ${alike(pans.map((pan) => pan.pieces))} pieces`,
		says: `${left.join(", ")}. Covered with ${coverWords(plan)}; liquid ${lineWords(braise.line)}.`,
		facts: [
			{ figure: reading.volume(full.liquid_l), label: "to pour, fullest pan" },
			{ figure: reading.volume(plan.pans.liquid_l), label: plan.pans.goes > 1 ? "all fillings" : "all pans" },
			{
				figure: reading.length(full.dip_mm),
				label: `dip; ${reading.length(kitchen.policy.headspace_mm)} is the least`,
			},
			{ figure: reading.mass(full.lifted_kg), label: "to carry, with the pan" },
		],
	};
}

/** "foil over parchment: dry cider pits bare foil" */
function coverWords({ recipe, lines }: WorkedDish): string {
	const acids = acidsUnderFoil(recipe, lines);
	if (acids.length === 0) return LIDS[recipe.braise.lid];
	return `foil over parchment, one edge folded: ${acids.join(" and ")} pit${acids.length === 1 ? "s" : ""} bare foil`;
}

/** "2 × 19 + 3 × 18" */
function alike(pieces: readonly number[]): string {
	const kinds = [...new Set(pieces)];
	return kinds
		.map((kind) => {
			const times = pieces.filter((held) => held === kind).length;
			return times === 1 ? String(kind) : `${times} × ${kind}`;
		})
		.join(" + ");
}
