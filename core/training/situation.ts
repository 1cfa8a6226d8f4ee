import { type BraiseGiven, likelyMinutes, USUAL_OVEN_KW } from "../braise/index.ts";
import { PIECE_FORMS, sidesByThickness, thicker } from "../heat/index.ts";
import {
	type GastronormSize,
	litresAround,
	MEAT_KG_PER_L,
	type PanShape,
	volumeBelow,
} from "../pans/index.ts";
import { type Random, seeded } from "../random/index.ts";
import type { Cut, Lid } from "../trade/index.ts";

/** What is other in the second pan than in the first. */
export const CHANGES = [
	"crowded",
	"deeperPan",
	"lidOff",
	"paper",
	"cooler",
	"hotter",
	"thicker",
	"thinner",
	"morePans",
	"coldStart",
	"doors",
	"lessLiquid",
] as const;
export type Change = (typeof CHANGES)[number];

/** Two pans that differ in one thing. */
export interface Situation {
	readonly seed: number;
	readonly change: Change;
	readonly before: BraiseGiven;
	readonly after: BraiseGiven;
}

/** Cuts that are asked, with the thickness their pieces have, mm. General practice. */
export const CUTS_ASKED: readonly { readonly cut: Cut; readonly from_mm: number; readonly to_mm: number }[] =
	[
		{ cut: "porkShoulder", from_mm: 40, to_mm: 65 },
		{ cut: "goatShoulder", from_mm: 38, to_mm: 60 },
		{ cut: "muttonNeck", from_mm: 40, to_mm: 60 },
		{ cut: "vealBreast", from_mm: 35, to_mm: 50 },
		{ cut: "duckLeg", from_mm: 35, to_mm: 48 },
		{ cut: "lambShoulder", from_mm: 38, to_mm: 60 },
		{ cut: "gooseLeg", from_mm: 38, to_mm: 55 },
	];
const PANS_ASKED: readonly { readonly gn: GastronormSize; readonly depth_mm: number }[] = [
	{ gn: "1/1", depth_mm: 100 },
	{ gn: "1/1", depth_mm: 150 },
	{ gn: "2/3", depth_mm: 100 },
	{ gn: "2/1", depth_mm: 100 },
];
const LIDS_ASKED: readonly Lid[] = ["foil", "lid"];
const LIQUID_IN_C = 95;
/** What one piece weighs, kg. */
const A_PIECE_KG = 0.35;

/**
 * A situation drawn from the model by its seed, the same for the same seed.
 *
 * @param change the kind of it; drawn too when it is left out
 */
export function situationOf(seed: number, change?: Change): Situation {
	const random = seeded(seed);
	const kind = change ?? pick(CHANGES, random);
	const before = panOf(random, kind);
	return { seed, change: kind, before, after: CHANGED[kind](before, random) };
}

/** One pan as a kitchen fills it: one layer of pieces, the liquid somewhere from half way to just covered. */
function panOf(random: Random, kind: Change): BraiseGiven {
	const pan = pick(PANS_ASKED, random);
	const most_mm = pan.depth_mm - 30;
	const { cut, from_mm, to_mm } = pick(CUTS_ASKED, random);
	const thickness_mm = Math.round(within(random, from_mm, Math.min(to_mm, most_mm)));
	const layer_l = volumeBelow(pan, thickness_mm);
	const meat_kg = round(layer_l * within(random, 0.42, 0.58) * MEAT_KG_PER_L, 0.1);
	const line_mm = thickness_mm * within(random, kind === "lessLiquid" ? 0.85 : 0.6, 1.05);
	return {
		cut,
		sides: sidesByThickness(pick(PIECE_FORMS, random), thickness_mm, A_PIECE_KG),
		meat_kg,
		liquid_l: round(Math.max(0.5, litresAround(pan, { meat_kg, height_mm: thickness_mm }, line_mm)), 0.1),
		pan,
		lid: pick(LIDS_ASKED, random),
		heat: {
			kind: random() < 0.6 ? "fanOven" : "stillOven",
			set_C: round(within(random, 140, 170), 5),
		},
		start: { meat_C: 15, liquid_C: LIQUID_IN_C },
	};
}

type Changing = (before: BraiseGiven, random: Random) => BraiseGiven;

const CHANGED: Readonly<Record<Change, Changing>> = {
	crowded: (before, random) => {
		const more = within(random, 1.35, 1.6);
		const extra_l = (before.meat_kg * (more - 1)) / MEAT_KG_PER_L;
		return {
			...before,
			meat_kg: round(before.meat_kg * more, 0.1),
			liquid_l: round(Math.max(0.5, before.liquid_l - extra_l * 0.8), 0.1),
		};
	},
	deeperPan: (before) => {
		const wide = "gn" in before.pan && before.pan.gn === "2/1";
		const pan: PanShape = wide ? { gn: "1/1", depth_mm: 200 } : { gn: "1/2", depth_mm: 200 };
		return { ...before, pan };
	},
	lidOff: (before, random) => ({
		...before,
		lids: [{ at_min: round(likelyMinutes(before) - within(random, 8, 20), 5), lid: "open" }],
	}),
	paper: (before) => ({ ...before, lid: "paper" }),
	cooler: (before, random) => reset(before, -round(within(random, 20, 50), 5)),
	hotter: (before, random) => reset(before, round(within(random, 20, 40), 5)),
	thicker: (before, random) => thickness(before, within(random, 1.25, 1.6)),
	thinner: (before, random) => thickness(before, within(random, 0.55, 0.8)),
	morePans: (before, random) => ({
		...before,
		oven: { power_kW: USUAL_OVEN_KW, pans: Math.round(within(random, 4, 9)) },
	}),
	coldStart: (before) => ({ ...before, start: { ...before.start, liquid_C: 10 } }),
	doors: (before, random) => {
		const every_min = Math.round(within(random, 12, 25));
		const times = Math.floor(180 / every_min);
		const doors = Array.from({ length: times }, (_, time) => ({
			at_min: (time + 1) * every_min,
			drop_C: 60,
		}));
		return { ...before, doors };
	},
	lessLiquid: (before, random) => ({
		...before,
		liquid_l: round(Math.max(0.5, before.liquid_l * within(random, 0.4, 0.6)), 0.1),
	}),
};

function reset(before: BraiseGiven, by_C: number): BraiseGiven {
	const { heat } = before;
	return "set_C" in heat ? { ...before, heat: { ...heat, set_C: heat.set_C + by_C } } : before;
}

function thickness(before: BraiseGiven, times: number): BraiseGiven {
	return { ...before, sides: thicker(before.sides, times) };
}

function within(random: Random, low: number, high: number): number {
	return low + random() * (high - low);
}

function pick<T>(from: readonly T[], random: Random): T {
	return from[Math.floor(random() * from.length)] as T;
}

function round(value: number, step: number): number {
	return Math.round(Math.round(value / step) * step * 1000) / 1000;
}
