import type { Kitchen } from "../kitchen/index.ts";
import { takeQuantity, toBase } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { SEAR_GAP_MM } from "../sear/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { isOpen } from "../time/index.ts";
import { liquidWarnings } from "./liquidWarnings.ts";
import type { Plan } from "./Plan.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { joinsLate, takesRoom, VEGETABLE_KG_PER_L } from "./panLines.ts";
import { panWarnings } from "./panWarnings.ts";
import type { PlanBraise } from "./planBraise.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import { weightOf } from "./planLiquid.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

type Planned = Omit<Plan, "workings" | "warnings">;

/** Everything that stands in the way of the plan, or is worth a second look. */
export function planWarnings(planned: Planned, kitchen: Kitchen): PlanWarning[] {
	const { recipe, order } = planned;
	const wished = new Map(order.panWishes.map(({ typeId, count }) => [typeId, count]));
	return [
		...sizeWarnings(planned),
		...panWarnings(recipe, kitchen, planned.pans, planned.elsewhere, wished, lateVolume_l(planned.lines)),
		...ovenWarnings(planned),
		...tenderWarnings(planned.braise),
		...liquidWarnings(recipe, kitchen.policy, planned),
		...pieceWarnings(recipe),
		...clockWarnings(planned, kitchen),
		...colourWarnings(recipe, planned.colour),
	];
}

/** Room that what joins late takes then, litres. */
function lateVolume_l(lines: readonly PlanLine[]): number {
	const late = lines.filter(joinsLate);
	const lying = late.filter(({ ingredient }) => takesRoom(ingredient));
	const poured = late.filter(({ line }) => line.role === "liquid");
	return (weightOf(lying) / VEGETABLE_KG_PER_L + weightOf(poured)) / 1000;
}

/** The way that is taken cannot be done, or its loads would be crowded. */
function colourWarnings({ sear }: Recipe, colour: PlanColour | null): PlanWarning[] {
	if (!colour || !sear) return [];
	if (colour.way === "oven") return colour.oven ? [] : [{ code: "noColourOven", place: "sear" }];
	if (!colour.pan) return [{ code: "noSearPan", place: "sear" }];
	if (sear.gap_mm >= SEAR_GAP_MM || colour.pan.loads === 1 || !colour.spaced) return [];
	const { perLoad, loads } = colour.spaced;
	if (loads === colour.pan.loads) return [];
	return [{ code: "crowded", place: "sear", gap_mm: sear.gap_mm, wanted_mm: SEAR_GAP_MM, perLoad, loads }];
}

function sizeWarnings({ chain, wanted, setBy }: BatchSize): PlanWarning[] {
	if (chain.portions >= wanted) return [];
	const code = setBy === "meat" ? "tooFewFromMeat" : "tooFewFromPans";
	return [{ code, place: "buy", makes: chain.portions, wanted }];
}

function ovenWarnings({ recipe, pans: { pans }, ovens }: Planned): PlanWarning[] {
	if (pans.length === 0 || ovens.without === 0) return [];
	const { low, high } = recipe.braise.oven_C;
	if (ovens.loads.length === 0) return [{ code: "noOven", place: "braise", low_C: low, high_C: high }];
	return [{ code: "ovenSpace", place: "braise", without: ovens.without, of: pans.length }];
}

/** Pans that never get there, and pans that boil dry before they do. */
function tenderWarnings(braise: PlanBraise | null): PlanWarning[] {
	if (!braise) return [];
	const dry = braise.groups.find(
		({ braised, tender_min }) => braised.dryAt_min !== null && braised.dryAt_min <= tender_min.high,
	);
	if (dry?.braised.dryAt_min) return [{ code: "boilsDry", place: "braise", at_min: dry.braised.dryAt_min }];
	const never = braise.groups.some(({ braised }) => braised.marks.forkTender === null);
	return never ? [{ code: "neverTender", place: "braise" }] : [];
}

function clockWarnings({ recipe, tasks }: Planned, { policy }: Kitchen): PlanWarning[] {
	const isOutside = ({ start }: PlacedTask) => !isOpen(start, policy.timeZone, policy.hours);
	// The first thing that somebody has to be there for says it for all that follow.
	const early = tasks.find((task) => task.part !== "order" && task.part !== "keep" && isOutside(task));
	return [
		...(early && early.place !== "make"
			? [{ code: "beforeOpening" as const, place: early.place, at: early.start }]
			: []),
		...marinadeWarnings(recipe, tasks),
	];
}

function marinadeWarnings({ marinate }: Recipe, tasks: readonly PlacedTask[]): PlanWarning[] {
	const into = tasks.find(({ part }) => part === "marinade");
	const out = tasks.find(({ after }) => after.some(({ task }) => task === into?.id));
	if (!marinate || !into || !out) return [];
	const minutes = (out.start - into.end) / 60_000;
	const { longest_min } = marinate;
	return minutes > longest_min ? [{ code: "marinatedTooLong", place: "marinate", minutes, longest_min }] : [];
}

/** Share by which the line and the piece may differ before it is said. */
const PIECE_GAP = 0.1;

function pieceWarnings({ lines, piece }: Recipe): PlanWarning[] {
	const said_g = pieceSaid(lines.find((line) => line.role === "main")?.preparation);
	if (said_g === null || Math.abs(said_g / piece.weight_g - 1) <= PIECE_GAP) return [];
	return [{ code: "pieceSize", place: "trim", said_g, piece_g: piece.weight_g }];
}

/** Weight of a piece as the main line says it: "300 g pieces", "pieces of 258 g". */
function pieceSaid(preparation = ""): number | null {
	const said = /([\d.,]+\s*(?:g|kg|oz|lb))\s+pieces?|pieces?\s+of\s+([\d.,]+\s*(?:g|kg|oz|lb))/i.exec(
		preparation,
	);
	const taken = said ? takeQuantity(said[1] ?? said[2] ?? "") : undefined;
	return taken ? toBase(taken.quantity.amount, taken.quantity.unit) : null;
}
