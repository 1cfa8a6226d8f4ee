import { type ChosenPan, depthOf, LINE_SCHOOLS, lineAbovePiece, lineWords, rimOf } from "#core/pans";
import { LIDS, type PlaceKey } from "#core/recipe";
import type { OvenDrawing, PanDrawing } from "../ui/drawings.ts";
import { panDrawing } from "../ui/panDrawing.ts";
import { percent } from "../ui/reading.ts";
import type { SumsFor } from "./arithmetic.ts";

/** What is drawn for a place, in millimetres and shares of time. */
export interface PlaceDrawings {
	readonly pan?: PanDrawing;
	readonly searLoad?: { readonly pan: PanDrawing; readonly loads: readonly SearLoad[] };
	readonly braise?: BraiseView;
}

export interface SearLoad {
	readonly number: number;
	readonly pieces: number;
}

/** The clock of the oven, as shares of the time from in to service. */
export interface BraiseView {
	readonly marks: readonly { readonly at: number; readonly words: string; readonly clock: string }[];
	readonly window: {
		readonly from: number;
		readonly likely: number;
		readonly to: number;
		readonly words: string;
	};
	readonly ovens: readonly OvenDrawing[];
}

export function drawingsOf(key: PlaceKey, given: SumsFor): PlaceDrawings {
	const [full] = given.plan.pans.pans;
	if (key === "panUp" && full) return { pan: filledPan(full, given) };
	if (key === "sear") return searDrawing(given);
	if (key === "braise") return { braise: braiseView(given) };
	return {};
}

function searDrawing({ plan, recipe, kitchen, reading }: SumsFor): PlaceDrawings {
	if (!plan.sear || !kitchen.searPan || !recipe.sear) return {};
	const { loads, perLoad } = plan.sear;
	const last = plan.pieces - (loads - 1) * perLoad;
	return {
		searLoad: {
			pan: panDrawing(kitchen.searPan.shape, reading, { piece: recipe.piece, gap_mm: recipe.sear.gap_mm }),
			loads: Array.from({ length: loads }, (_, index) => ({
				number: index + 1,
				pieces: index < loads - 1 ? perLoad : last,
			})),
		},
	};
}

function filledPan(pan: ChosenPan, { recipe, reading, kitchen }: SumsFor): PanDrawing {
	const base = panDrawing(pan.type.shape, reading, { piece: recipe.piece, gap_mm: recipe.gap_mm });
	const schools = LINE_SCHOOLS.map(({ name, line }) => ({
		name,
		mm: pan.bed_mm + lineAbovePiece(recipe.piece, line),
	})).filter(({ mm }) => mm <= depthOf(pan.type.shape));
	return {
		...base,
		// A pan that is not full leaves its free places at the end of the last row.
		placed: base.placed.slice(0, pan.pieces),
		words: `${pan.type.name} from above: ${pan.pieces} pieces in one layer, ${reading.length(recipe.gap_mm)} apart, of ${pan.capacity} that it holds.`,
		filled: {
			line_mm: pan.line_mm,
			bed_mm: pan.bed_mm,
			lid: LIDS[recipe.braise.lid],
			lineWords: lineWords(recipe.braise.line),
			line: reading.length(pan.line_mm),
			dip: reading.length(pan.dip_mm),
			headspace_mm: kitchen.headspace_mm,
			schools,
			words: `${pan.type.name} cut through: ${reading.length(pan.bed_mm)} of vegetables, pieces ${reading.length(base.pieceHeight_mm)} high, liquid line ${reading.length(pan.line_mm)} above the floor (${lineWords(recipe.braise.line)}), dip ${reading.length(pan.dip_mm)} from the rim.`,
		},
	};
}

function braiseView({ plan, recipe, reading }: SumsFor): BraiseView {
	const { clock } = plan;
	const whole = clock.serve - clock.in;
	const share = (at: number) => (at - clock.in) / whole;
	const mark = (at: number, words: string) => ({ at: share(at), words, clock: reading.clock(at) });
	return {
		marks: [mark(clock.in, "in"), mark(clock.rest, "lift"), mark(clock.serve, "serve")],
		window: {
			from: share(clock.tender.low),
			likely: share(clock.tender.likely),
			to: share(clock.tender.high),
			words: `In ${reading.clock(clock.in)}. Tender ${reading.clock(clock.tender.low)} to ${reading.clock(clock.tender.high)}, likely ${reading.clock(clock.tender.likely)}. Lift ${reading.clock(clock.rest)}. Serve ${reading.clock(clock.serve)}.`,
		},
		ovens: plan.ovens.loads.map((load) => ({
			name: load.oven.name,
			rungs: load.oven.rungs,
			pitch_mm: load.oven.pitch_mm,
			wide: load.oven.shelf,
			set: reading.temperature(load.set_C),
			set_C: load.set_C,
			pans: load.pans.map(({ type, count }) => ({
				name: type.name,
				count,
				depth_mm: depthOf(type.shape),
				length_mm: rimOf(type.shape).length_mm,
				width_mm: rimOf(type.shape).width_mm,
			})),
			words: `${load.oven.name} at ${reading.temperature(load.set_C)}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}; ${load.rungsTaken} of ${load.oven.rungs} rungs taken. ${percent(load.rungsTaken / load.oven.rungs)} full. ${recipe.name}.`,
		})),
	};
}
