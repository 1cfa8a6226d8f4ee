import {
	bedHeight,
	depthOf,
	type FilledPan,
	fillPan,
	LINE_SCHOOLS,
	type LiquidLine,
	lineUp,
	lineWords,
	pieceHeight,
} from "#core/pans";
import type { CutDrawing } from "../../ui/drawings/drawings.ts";
import { type Measures, measuresIn } from "../../ui/words/measures.ts";
import { counted } from "../../ui/words/reading.ts";
import type { AlikePans, PanUpView } from "./panUp.view.ts";

/** Nearer than this to a school's height the line is that school's, mm. */
const SNAP_MM = 1.5;
/** The shallowest line, as a share of the piece. */
const SHALLOWEST = 0.02;

/** A line drawn so high above the foot of pieces that stand so high: a school where it is near one, else its figure. */
export function lineAt(above_mm: number, pile_mm: number): LiquidLine {
	const school = LINE_SCHOOLS.find(({ line }) => Math.abs(lineUp(pile_mm, line) - above_mm) <= SNAP_MM);
	if (school) return school.line;
	if (above_mm > pile_mm) return { over_mm: Math.round(above_mm - pile_mm) };
	return { share: Math.max(SHALLOWEST, Math.round((above_mm / pile_mm) * 100) / 100) };
}

/** What the page shows of a line while it moves. */
export interface LineState {
	readonly cut: CutDrawing;
	readonly facts: readonly { readonly figure: string; readonly label: string }[];
	readonly warnings: readonly string[];
	/** One sentence for a reader. */
	readonly text: string;
}

/** One pan at a line, with what it and all the others then take. The same sums as the plan's own. */
export function lineState(view: PanUpView, chosen: number, line: LiquidLine): LineState | null {
	const pan = view.pans[chosen];
	if (!pan) return null;
	const measures = measuresIn(view.units);
	const filled = fill(view, pan, line);
	const all_l = view.pans.reduce((sum, alike) => sum + alike.count * fill(view, alike, line).liquid_l, 0);
	const warnings = warningsOf(filled, view, measures);
	const cut = cutOf(view, pan, filled, line, measures);
	const carried = measures.mass(filled.lifted_kg);
	const stays = !Number.isFinite(view.limits.liftLimit_kg);
	return {
		cut,
		facts: [
			{ figure: measures.volume(filled.liquid_l), label: "to pour in this pan" },
			{ figure: measures.volume(all_l), label: `in all ${counted(view.strip.length, "pan")}` },
			{ figure: cut.dip, label: `dip; ${measures.length(view.limits.headspace_mm)} is the least` },
			{ figure: carried, label: stays ? "filled; it stays on its heat" : "to carry, with the pan" },
		],
		warnings,
		text: [
			`${cut.lineWords}, line ${cut.line}`,
			`${measures.volume(filled.liquid_l)} to pour`,
			`dip ${cut.dip}`,
			stays ? `${carried} filled` : `${carried} to carry`,
			...warnings,
		].join(", "),
	};
}

function fill({ piece, layers, limits }: PanUpView, pan: AlikePans, line: LiquidLine): FilledPan {
	return fillPan(pan.shape, piece, pan.pieces, line, pan.bed, limits, layers, pan.over);
}

function cutOf(
	view: PanUpView,
	pan: AlikePans,
	filled: FilledPan,
	line: LiquidLine,
	{ length }: Measures,
): CutDrawing {
	const { piece } = view;
	const words = lineWords(line);
	return {
		line_mm: filled.line_mm,
		bed_mm: filled.bed_mm,
		pile_mm: filled.pile_mm,
		over: overOf(view, pan, filled),
		layers: Math.max(1, Math.round(filled.pile_mm / pieceHeight(piece))),
		lid: view.lid,
		lineWords: words,
		line: length(filled.line_mm),
		dip: length(filled.dip_mm),
		headspace_mm: view.limits.headspace_mm,
		schools: LINE_SCHOOLS.map((school) => ({
			name: school.name,
			mm: filled.bed_mm + lineUp(filled.pile_mm, school.line),
		})).filter(({ mm }) => mm <= depthOf(pan.shape)),
		words: `${pan.name} cut through: ${length(filled.bed_mm)} of vegetables, pieces ${length(pieceHeight(piece))} high${standWords(filled, view, length)}, liquid line ${length(filled.line_mm)} above the floor (${words}), dip ${length(filled.dip_mm)} from the rim${overWords(view, pan)}.`,
	};
}

/** "; 16 mm of potatoes over it" */
function overWords({ overNames, units }: PanUpView, { over }: AlikePans): string {
	const { length, mass } = measuresIn(units);
	const joins =
		over.joins.weight_kg > 0 ? [`${mass(over.joins.weight_kg)} of ${overNames.joins} join later`] : [];
	const topping = over.topping_mm > 0 ? [`${length(over.topping_mm)} of ${overNames.topping} over it`] : [];
	return [...joins, ...topping].map((words) => `; ${words}`).join("");
}

/** The second main on the pieces, and a topping over all of it, each from its foot to its top. */
function overOf(
	{ overNames, layers }: PanUpView,
	{ shape, over }: AlikePans,
	filled: FilledPan,
): NonNullable<CutDrawing["over"]> {
	const top_mm = filled.bed_mm + filled.pile_mm;
	const joins_mm = over.joins.volume_l > 0 ? bedHeight(shape, over.joins) : 0;
	return [
		...(joins_mm > 0 && layers !== "poured"
			? [
					{
						from_mm: top_mm,
						to_mm: top_mm + joins_mm,
						of: "meat" as const,
						name: `${overNames.joins}, later`,
					},
				]
			: []),
		...(over.topping_mm > 0
			? [
					{
						from_mm: top_mm + joins_mm,
						to_mm: top_mm + joins_mm + over.topping_mm,
						of: "bed" as const,
						name: overNames.topping,
					},
				]
			: []),
	];
}

/** ", 2 deep", ", poured 110 mm deep" */
function standWords({ pile_mm }: FilledPan, { layers }: PanUpView, length: Measures["length"]): string {
	if (layers === "poured") return `, poured ${length(pile_mm)} deep`;
	return layers > 1 ? `, ${layers} deep` : "";
}

function warningsOf(filled: FilledPan, { limits }: PanUpView, { length, mass }: Measures): string[] {
	const words = {
		overfull: `over-full: ${length(filled.dip_mm)} to the rim, ${length(limits.headspace_mm)} is wanted`,
		heavy: `over the ${mass(limits.liftLimit_kg)} limit for one`,
		tallPiece: `the cover will not close: pieces ${length(Math.max(1, filled.pieceOver_mm))} too high`,
	};
	return filled.warnings.map((code) => words[code]);
}
