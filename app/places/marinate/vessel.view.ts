import { sortBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { marinadeOf } from "#core/dish";
import { depthOf, heightOf, MEAT_KG_PER_L, type PanType, pieceHeight, volumeBelow } from "#core/pans";
import type { CutDrawing, PanDrawing } from "../../ui/drawings/drawings.ts";
import { panDrawing } from "../../ui/drawings/panDrawing.ts";
import type { Reading } from "../../ui/words/reading.ts";
import type { PlaceGiven } from "../Place.ts";

/** What it marinates in, cut through. */
export interface VesselView {
	readonly pan: PanDrawing;
	readonly cut: CutDrawing;
	readonly says: string;
}

/** A vessel is filled so far at the most: it is carried to the fridge, and turned in. */
const FILLED = 0.8;

/** The fewest straight-sided pans of one kind of the house, as a fridge takes them, that take the meat with its marinade; nothing where none does. */
export function vesselView({ plan, kitchen, reading }: PlaceGiven): VesselView | undefined {
	const { litres } = marinadeOf(plan);
	const volume_l = plan.chain.trimmed_kg / MEAT_KG_PER_L + litres;
	const kinds = kitchen.equipment.pans
		.filter(({ shape }) => !("round" in shape))
		.map((type) => ({ type, count: Math.ceil(volume_l / (brimOf(type) * FILLED)) }))
		.filter(({ type, count }) => count <= type.stock);
	const [best] = sortBy(kinds, [({ count }) => count, ({ type }) => brimOf(type)]);
	return best && drawnIn(best.type, best.count, volume_l / best.count, plan, reading);
}

const brimOf = ({ shape }: PanType): number => volumeBelow(shape, depthOf(shape));

function drawnIn(
	type: PanType,
	count: number,
	each_l: number,
	{ pieces, recipe }: WorkedDish,
	reading: Reading,
): VesselView {
	const pan = panDrawing(type.shape, reading, { piece: recipe.piece, gap_mm: recipe.gap_mm });
	const line_mm = heightOf(type.shape, each_l);
	const layers = Math.min(
		Math.max(1, Math.ceil(pieces / count / Math.max(1, pan.placed.length))),
		Math.max(1, Math.floor(line_mm / pieceHeight(recipe.piece))),
	);
	const high = reading.length(line_mm);
	const name = count === 1 ? type.name : `${count} × ${type.name}`;
	return {
		pan,
		cut: {
			line_mm,
			bed_mm: 0,
			layers,
			lid: "covered, in the fridge",
			lineWords: "",
			line: high,
			dip: reading.length(depthOf(type.shape) - line_mm),
			headspace_mm: 0,
			schools: [],
			words: `${name} cut through: meat and marinade stand ${high} high.`,
		},
		says: `It fits in ${name}, ${reading.volume(each_l)} ${count === 1 ? "in it" : "in each"}.`,
	};
}
