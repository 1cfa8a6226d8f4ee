import type { WorkedDish } from "#core/day";
import { startAt } from "#core/dish";
import type { Recipe } from "#core/recipe";
import { durationWords } from "#core/time";
import type { Shown } from "../ui/parts/shown.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { counted, percent, type Reading } from "../ui/words/reading.ts";
import { type DishOfSitting, type DishOnPaper, dishOnPaper } from "./dishOnPaper.ts";
import { labelsView } from "./labels.view.ts";
import { sheetView } from "./sheet.view.ts";

/** The production sheet of one dish. */
export async function sheetPage(visit: HouseVisit, given: DishOfSitting) {
	return sheetOf(await dishOnPaper(visit, given));
}

export function sheetOf(onPaper: DishOnPaper) {
	const view = sheetView(onPaper);
	return { ...view, printed: `${view.printed}${onPaper.stamp}`, since: onPaper.since };
}

/** A label for each pan of one dish. */
export async function labelsPage(visit: HouseVisit, given: DishOfSitting) {
	return labelsOf(await dishOnPaper(visit, given));
}

export function labelsOf({ row, sitting, reading, to, paper, tag, since, onTrial }: DishOnPaper) {
	const view = labelsView(row, sitting, reading, tag ?? undefined);
	return {
		...view,
		sitting: onTrial ? `ON TRIAL, not taken: ${view.sitting}` : view.sitting,
		since,
		to,
		paper,
	};
}

/** What the butcher, or whoever cuts, is told of one dish. */
export async function cuttingPage(visit: HouseVisit, given: DishOfSitting) {
	return cuttingOf(await dishOnPaper(visit, given));
}

export function cuttingOf(onPaper: DishOnPaper) {
	const { row, sitting, reading, house, paper, to } = onPaper;
	const { recipe } = row.dish;
	return {
		to,
		dish: recipe.name,
		note: sitting.note,
		main: row.plan?.lines.find(({ line }) => line.role === "main")?.ingredient.name ?? "the main",
		about: `${sitting.name} · ${reading.day(sitting.serviceAt)}`,
		house,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}${onPaper.stamp}`,
		since: onPaper.since,
		paper,
		by: row.plan ? reading.clock(startAt(row.plan, "trim")) : "",
		figures: row.plan ? figuresOf(recipe, row.plan, reading) : [],
		steps: recipe.steps.filter(({ place }) => place === "trim").map(({ text, check }) => ({ text, check })),
		refused: row.plan ? null : (row.refused ?? ""),
	};
}

/** A piece may be off by this share and is still done with the others. */
const TOLERANCE = 0.1;

function figuresOf(
	recipe: Recipe,
	plan: WorkedDish,
	reading: Reading,
): { figure: string; label: string; shown?: Shown }[] {
	const of = plan.order.id;
	const { piece, losses } = recipe;
	const weight = piece.weight_g / 1000;
	const size =
		piece.shape === "block"
			? `${reading.length(piece.length_mm)} × ${reading.length(piece.width_mm)} × ${reading.length(piece.height_mm)}`
			: piece.shape === "ball"
				? `${reading.length(piece.diameter_mm)} across`
				: `${reading.length(piece.length_mm)} long, ${reading.length(piece.diameter_mm)} thick`;
	return [
		{
			figure: counted(plan.pieces, "piece"),
			label: "to be cut",
			shown: { what: "pieces", of, value: plan.pieces },
		},
		{ figure: reading.mass(weight), label: "each, trimmed" },
		{
			figure: `${reading.mass(weight * (1 - TOLERANCE))} to ${reading.mass(weight * (1 + TOLERANCE))}`,
			label: "is still done with the others",
		},
		{ figure: size, label: "size of a piece" },
		...(plan.chain.order_kg === undefined
			? []
			: [
					{
						figure: reading.mass(plan.chain.order_kg),
						label: "pack total, for this dish alone",
						shown: { what: "ordered", of, value: plan.chain.order_kg } as const,
					},
				]),
		{
			figure: reading.mass(plan.chain.asPurchased_kg),
			label: "weight needed, out of the delivery",
			shown: { what: "needed", of, value: plan.chain.asPurchased_kg },
		},
		{
			figure: reading.mass(plan.chain.trimmed_kg),
			label: "weight cut, all pieces trimmed",
			shown: { what: "trimmed", of, value: plan.chain.trimmed_kg },
		},
		{
			figure: `${reading.mass(plan.sums.trim.result.value)}, ${percent(losses.trimLoss)}`,
			label: "trim and bones, to stock",
			shown: { what: "trim", of, value: plan.sums.trim.result.value },
		},
		{ figure: durationWords(plan.work.places.trim.handsOn_min), label: "of work for one" },
	];
}
