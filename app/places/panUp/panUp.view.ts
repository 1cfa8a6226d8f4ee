import { sumBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { countByType, type HeldPans } from "#core/dish";
import { vesselsFor } from "#core/kitchen";
import type {
	Bed,
	ChosenPan,
	Layers,
	LiquidLine,
	Over,
	PanLimits,
	PanShape,
	PanWish,
	Piece,
} from "#core/pans";
import { capacityOf, lineWords, piecesPerPan, rimOf, tightGap } from "#core/pans";
import type { UnitSystem } from "#core/quantity";
import { heatOf, isInOven, layersOf, type Recipe } from "#core/recipe";
import { LIDS, type Role } from "#core/trade";
import type { PanDrawing } from "../../ui/drawings/drawings.ts";
import { panDrawing } from "../../ui/drawings/panDrawing.ts";
import { counted, type Reading } from "../../ui/words/reading.ts";
import type { PlaceGiven, TableGiven } from "../Place.ts";

/** Everything the page needs to draw the pans and to reckon while the line is dragged. */
export interface PanUpView {
	readonly units: UnitSystem;
	readonly piece: Piece;
	/** How pieces lie on one another. */
	readonly layers: Layers;
	readonly gap_mm: number;
	readonly line: LiquidLine;
	readonly lineWords: string;
	/** The card's own line, where the chef has set another; null while the plan decides. */
	readonly cardLine: LiquidLine | null;
	readonly lid: string;
	/** What joins later, and what lies over everything; empty where nothing does. */
	readonly overNames: { readonly joins: string; readonly topping: string };
	readonly limits: PanLimits;
	/** One entry for each pan that is filled alike. */
	readonly pans: readonly AlikePans[];
	/** All pans in a row, each pointing at its entry in `pans`. */
	readonly strip: readonly StripPan[];
	readonly shelf: readonly ShelfKind[];
	readonly wishes: readonly PanWish[];
}

export interface AlikePans {
	readonly typeId: string;
	readonly name: string;
	readonly shape: PanShape;
	readonly count: number;
	readonly pieces: number;
	readonly capacity: number;
	readonly bed: Bed;
	/** What joins later and lies over the pieces. */
	readonly over: Over;
	readonly drawing: PanDrawing;
}

export interface StripPan {
	readonly number: number;
	readonly alike: number;
}

/** A kind of pan of the kitchen, with who has how many. */
export interface ShelfKind {
	readonly id: string;
	readonly name: string;
	readonly stock: number;
	readonly here: number;
	readonly elsewhere: readonly HeldPans[];
	/** Pieces one takes; none when a piece lies in it no way. */
	readonly takes: number;
	readonly settled: number | null;
	readonly rim: { readonly length_mm: number; readonly width_mm: number };
}

export function panUpView(given: TableGiven): PanUpView {
	const { plan, kitchen, reading, cardLine } = given;
	const { recipe, order } = plan;
	const { equipment, policy } = kitchen;
	const alike = alikePans(given);
	const had = countByType(plan.pans);
	const load = loadOf(plan);
	const strip = alike.flatMap(({ count }, index) => Array.from({ length: count }, () => index));
	return {
		units: reading.units,
		piece: recipe.piece,
		layers: layersOf(recipe),
		gap_mm: recipe.gap_mm,
		line: recipe.braise.line,
		lineWords: lineWords(recipe.braise.line),
		cardLine,
		lid: LIDS[recipe.braise.lid],
		overNames: { joins: nameOf(plan, "second"), topping: nameOf(plan, "topping") },
		limits: {
			headspace_mm: policy.headspace_mm,
			// What stays where it is heated is not lifted full.
			liftLimit_kg: isInOven(recipe) ? policy.liftLimit_kg : Number.POSITIVE_INFINITY,
		},
		pans: alike,
		strip: strip.map((index, at) => ({ number: at + 1, alike: index })),
		shelf: vesselsFor(heatOf(recipe), equipment)
			.filter(({ stock }) => stock > 0)
			.map((type) => ({
				id: type.id,
				name: type.name,
				stock: type.stock,
				here: had.find((kind) => kind.type.id === type.id)?.count ?? 0,
				elsewhere: plan.elsewhere.get(type.id) ?? [],
				takes: capacityOf(type, load),
				settled: order.panWishes.find(({ typeId }) => typeId === type.id)?.count ?? null,
				rim: rimOf(type.shape),
			})),
		wishes: order.panWishes,
	};
}

function nameOf({ lines }: WorkedDish, role: Role): string {
	return lines
		.filter(({ line }) => line.role === role)
		.map(({ ingredient }) => ingredient.name)
		.join(", ");
}

/** What goes into the pans: for how much of it each kind has room. */
function loadOf({ recipe, pans }: WorkedDish) {
	return {
		piece: recipe.piece,
		gap_mm: recipe.gap_mm,
		layers: layersOf(recipe),
		pieces: Math.max(
			1,
			sumBy(pans.pans, ({ pieces }) => pieces),
		),
		bed: { volume_l: sumBy(pans.pans, ({ bed }) => bed.volume_l), weight_kg: 0 },
		over: {
			joins: { volume_l: sumBy(pans.pans, ({ over }) => over.joins.volume_l), weight_kg: 0 },
			topping_mm: recipe.topping?.thickness_mm ?? 0,
			topping_kg: 0,
		},
	};
}

function alikePans({ plan, reading }: PlaceGiven): AlikePans[] {
	const { recipe } = plan;
	const kinds = new Map<string, { pan: ChosenPan; count: number }>();
	for (const pan of plan.pans.pans) {
		const key = `${pan.type.id} ${pan.pieces}`;
		kinds.set(key, { pan, count: (kinds.get(key)?.count ?? 0) + 1 });
	}
	return [...kinds.values()].map(({ pan, count }) => ({
		typeId: pan.type.id,
		name: pan.type.name,
		shape: pan.type.shape,
		count,
		pieces: pan.pieces,
		capacity: pan.capacity,
		bed: pan.bed,
		over: pan.over,
		drawing: drawingOf(pan, recipe, reading),
	}));
}

/** Widest gap to which the pieces of a pan that is not full are spread, mm, and how finely it is sought. */
const WIDEST_GAP_MM = 80;
const GAP_STEP_MM = 2;

/** The gap at which the pieces of a pan lie spread over its floor: the recipe's, or wider where there is room. */
function spreadGap(pan: ChosenPan, recipe: Recipe): number {
	const { piece, gap_mm } = recipe;
	const layers = layersOf(recipe);
	if (layers === "poured") return 0;
	let gap = tightGap(gap_mm);
	while (
		gap + GAP_STEP_MM <= WIDEST_GAP_MM &&
		piecesPerPan(pan.type.shape, piece, gap + GAP_STEP_MM) * layers >= pan.pieces
	) {
		gap += GAP_STEP_MM;
	}
	return gap;
}

/** What is still free stays at the end of the pattern. */
function drawingOf(pan: ChosenPan, recipe: Recipe, reading: Reading): PanDrawing {
	const gap_mm = spreadGap(pan, recipe);
	const layers = layersOf(recipe);
	const base = panDrawing(pan.type.shape, reading, { piece: recipe.piece, gap_mm });
	return {
		...base,
		placed: base.placed.slice(0, layers === "poured" ? pan.pieces : Math.ceil(pan.pieces / layers)),
		words: `${pan.type.name} from above: ${counted(pan.pieces, "piece")} ${lieWords(layers, gap_mm, reading)}, of ${pan.capacity} that it holds.`,
	};
}

/** "in one layer, 12 mm apart", "poured as they fall" */
function lieWords(layers: Layers, gap_mm: number, reading: Reading): string {
	if (layers === "poured") return "poured as they fall";
	return `in ${layers === 1 ? "one layer" : `${layers} layers`}, ${reading.length(gap_mm)} apart`;
}
