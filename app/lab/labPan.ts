import { type BraiseGiven, USUAL_OVEN_KW } from "#core/braise";
import { type Heat, type PieceForm, type PieceSides, sidesByThickness, thicknessOf } from "#core/heat";
import { depthOf, floorArea, lineAround, litresAround, MEAT_KG_PER_L, type PanShape } from "#core/pans";
import type { Cut, Lid } from "#core/trade";

/** One pan as the lab's sliders have it: the liquid by its line, not by its litres. */
export interface LabPan {
	readonly cut: Cut;
	/** The sides of one piece, mm. */
	readonly sides: PieceSides;
	readonly boneShare?: number;
	readonly meat_kg: number;
	/** Liquid line above the floor, mm. */
	readonly line_mm: number;
	readonly pan: PanShape;
	readonly lid: Lid;
	readonly heat: Heat;
	readonly start: BraiseGiven["start"];
	/** Such pans in one oven, which share its power. */
	readonly pansInOven: number;
	/** When the cover comes off for the rest, minutes; 0 leaves it on. */
	readonly coverOff_min: number;
	/** A hotter oven to begin with, °C, and for how long; null where it is as it is set from the start. */
	readonly hotStart: HotStart | null;
	/** What the dish itself says of juice and of its vegetables. */
	readonly cookingLoss?: number;
	readonly vegetables_kg?: number;
	/** A situation of a training round comes with its oven opened. */
	readonly doors?: BraiseGiven["doors"] & object;
}

export interface HotStart {
	readonly set_C: number;
	readonly minutes: number;
}

/** Hot starts that can be chosen: by their minutes; all as hot as a covered pan is begun. */
export const HOT_STARTS_MIN = [20, 40] as const;
export const HOT_START_C = 220;

/** What each slider goes through. */
export const LIMITS = {
	thickness_mm: { low: 10, high: 120 },
	meat_kg: { low: 0.5, high: 16 },
	pansInOven: { low: 1, high: 20 },
	line_mm: { low: 10 },
	side_mm: { high: 400 },
	coverOff_min: { low: 0, high: 300 },
} as const;

/** So many pans stand side by side, and what they are called. */
export const MOST_PANS = 3;
export const NAMES = ["A", "B", "C"] as const;

/** The lab is opened with these: one piece thick, one thin. */
export const FIRST_PANS: readonly LabPan[] = [70, 45].map((thickness_mm) => ({
	cut: "goatShoulder",
	sides: { kind: "bar", diameter_mm: thickness_mm, length_mm: 110 },
	meat_kg: 4.5,
	line_mm: 45,
	pan: { gn: "1/1", depth_mm: 100 },
	lid: "foil",
	heat: { kind: "fanOven", set_C: 150 },
	start: { meat_C: 15, liquid_C: 95 },
	pansInOven: 4,
	coverOff_min: 0,
	hotStart: null,
}));

/** At least so much is poured, litres. */
const LEAST_L = 0.1;
/** Fuller than this the pan runs over as it is carried, mm below the rim. */
const RIM_MM = 10;

export function givenOf(lab: LabPan): BraiseGiven {
	const { line_mm, pansInOven, coverOff_min, hotStart, ...pan } = lab;
	return {
		...pan,
		...heatThrough(lab),
		...(coverOff_min > 0 ? { lids: [{ at_min: coverOff_min, lid: "open" as const }] } : {}),
		liquid_l: litresOf(lab),
		oven: { power_kW: USUAL_OVEN_KW, pans: pansInOven },
	};
}

/** A hot start is the oven set high and then set back. */
function heatThrough({ heat, hotStart }: LabPan): Pick<BraiseGiven, "heat" | "resets"> {
	if (hotStart === null || !isOven(heat)) return { heat };
	const back = { at_min: hotStart.minutes, set_C: heat.set_C };
	return { heat: { ...heat, set_C: Math.max(heat.set_C, hotStart.set_C) }, resets: [back] };
}

/** Whether it can be begun hot: an oven's air can, liquid held at a temperature can not. */
export function isOven(heat: Heat): heat is Extract<Heat, { set_C: number }> {
	return heat.kind === "fanOven" || heat.kind === "stillOven";
}

export function litresOf({ pan, meat_kg, sides, line_mm, vegetables_kg = 0 }: LabPan): number {
	const poured_l = litresAround(pan, { meat_kg, height_mm: thicknessOf(sides) }, line_mm) - vegetables_kg;
	return Math.max(LEAST_L, poured_l);
}

export function labPanOf({ liquid_l, oven, lids, resets, ...given }: BraiseGiven): LabPan {
	const { pan, meat_kg, sides, vegetables_kg = 0 } = given;
	const line_mm = lineAround(pan, { meat_kg, height_mm: thicknessOf(sides) }, liquid_l + vegetables_kg);
	const [back] = resets ?? [];
	const { heat } = given;
	const begun = back && isOven(heat);
	return {
		...given,
		heat: begun ? { ...heat, set_C: back.set_C } : heat,
		line_mm: Math.round(line_mm),
		pansInOven: oven?.pans ?? 1,
		coverOff_min: lids?.[0]?.at_min ?? 0,
		hotStart: begun ? { set_C: heat.set_C, minutes: back.at_min } : null,
	};
}

/** How full the floor of the pan lies, as a share; above one the pieces lie on each other. */
export function floorTaken({ pan, meat_kg, sides }: Pick<LabPan, "pan" | "meat_kg" | "sides">): number {
	const layer_l = (floorArea(pan) * thicknessOf(sides)) / 1e6;
	return meat_kg / MEAT_KG_PER_L / layer_l;
}

/** Whether the line stands too near the rim. */
export function isOverfull({ pan, line_mm, sides }: LabPan): boolean {
	return Math.max(line_mm, thicknessOf(sides)) > depthOf(pan) - RIM_MM;
}

/** The same pan with some of it changed; what no longer fits is brought within its limits. */
export function changedPan(lab: LabPan, change: Partial<LabPan>): LabPan {
	const next = { ...lab, ...change };
	return { ...next, line_mm: Math.min(next.line_mm, depthOf(next.pan)) };
}

/** What each source of heat can be set to, °C, and where it begins; a hob is not set. */
export const HEATS = {
	fanOven: { words: "fan oven", low: 80, high: 220, first: 150 },
	stillOven: { words: "still oven", low: 80, high: 220, first: 160 },
	hob: { words: "hob, bare simmer", low: 0, high: 0, first: 0 },
	pressure: { words: "pressure", low: 105, high: 121, first: 119 },
	slowCooker: { words: "slow cooker", low: 75, high: 98, first: 90 },
	waterBath: { words: "water bath", low: 55, high: 98, first: 80 },
} as const satisfies Record<Heat["kind"], { words: string; low: number; high: number; first: number }>;

export function heatOf(kind: Heat["kind"], set_C: number = HEATS[kind].first): Heat {
	if (kind === "hob") return { kind, simmer: true };
	const { low, high } = HEATS[kind];
	return { kind, set_C: Math.min(high, Math.max(low, set_C)) };
}

/** How pan and pieces begin, by name. */
export const STARTS = {
	boiling: { words: "boiling, pieces seared", meat_C: 15, liquid_C: 95 },
	fridge: { words: "boiling, pieces cold", meat_C: 4, liquid_C: 95 },
	cold: { words: "cold, pieces cold", meat_C: 4, liquid_C: 8 },
} as const;
export type StartKey = keyof typeof STARTS;

export function startKey({ start }: Pick<LabPan, "start">): StartKey | null {
	const keys = Object.keys(STARTS) as StartKey[];
	return (
		keys.find((key) => STARTS[key].meat_C === start.meat_C && STARTS[key].liquid_C === start.liquid_C) ?? null
	);
}

/** What a piece is, in a cook's words, by the kind of its sides. */
export const PIECE_KINDS = {
	block: "block: length, width, thickness",
	bar: "round bar or leg",
	ball: "ball",
} as const satisfies Record<PieceSides["kind"], string>;

const FORM_OF_KIND: Readonly<Record<PieceSides["kind"], PieceForm>> = {
	block: "slab",
	bar: "cylinder",
	ball: "ball",
};
/** What a piece weighs whose form is chosen anew, kg. */
const A_PIECE_KG = 0.35;

/** A piece of another kind, as thick as this one. */
export function ofKind(kind: PieceSides["kind"], sides: PieceSides): PieceSides {
	return kind === sides.kind ? sides : sidesByThickness(FORM_OF_KIND[kind], thicknessOf(sides), A_PIECE_KG);
}

/** Sides of a piece besides its thickness, the shorter first, mm. */
export function otherSides(sides: PieceSides): readonly number[] {
	if (sides.kind === "ball") return [];
	if (sides.kind === "bar") return [Math.max(sides.length_mm, sides.diameter_mm)];
	return [...sides.sides_mm].sort((a, b) => a - b).slice(1);
}

/** The same piece with one of its other sides changed; none becomes thinner than the thickness. */
export function withOtherSide(sides: PieceSides, index: number, mm: number): PieceSides {
	if (sides.kind === "ball") return sides;
	if (sides.kind === "bar") {
		return sides.length_mm < sides.diameter_mm ? { ...sides, diameter_mm: mm } : { ...sides, length_mm: mm };
	}
	const sorted = [...sides.sides_mm].sort((a, b) => a - b);
	sorted[index + 1] = Math.max(sorted[0] as number, mm);
	return { kind: "block", sides_mm: [sorted[2] as number, sorted[1] as number, sorted[0] as number] };
}
