import type { Events, Heat, OvenPower, PieceSides } from "../heat/index.ts";
import type { PanShape } from "../pans/index.ts";
import type { Cut, Lid } from "../trade/index.ts";

/** One pan as it goes in. */
export interface BraiseGiven extends Events {
	readonly cut: Cut;
	/** The sides of one piece, mm. */
	readonly sides: PieceSides;
	/** Meat with its bone, kg. */
	readonly meat_kg: number;
	/** Bone as a share of that weight. */
	readonly boneShare?: number;
	readonly liquid_l: number;
	readonly pan: PanShape;
	readonly lid: Lid;
	readonly heat: Heat;
	readonly start: { readonly meat_C: number; readonly liquid_C: number };
	/** Share of the meat without bone that it loses as juice; the cut's usual cooking loss. */
	readonly cookingLoss?: number;
	/** Vegetables lying in the liquid; they hold heat as water does. */
	readonly vegetables_kg?: number;
	readonly oven?: OvenPower;
	/** What reaches its floor, kW, where it is not heated all round; the usual of its kind where nothing is said. */
	readonly flame_kW?: number;
	/** Share of steam in the oven's air; the usual one of its kind where nothing is said. */
	readonly humidity?: number;
	/** Height above the sea, m. */
	readonly altitude_m?: number;
	/** How much better or worse than usual the heat gets into the pan, a factor. */
	readonly coupling?: number;
	/** How much more or less than usual the lid lets out, a factor. */
	readonly leak?: number;
}

/** The state of the pan at one minute. */
export interface BraisePoint {
	readonly minute: number;
	readonly liquid_C: number;
	readonly core_C: number;
	readonly surface_C: number;
	readonly oven_C: number;
	readonly liquid_l: number;
	/** Softening so far; fork-tender is 1. */
	readonly softened: number;
	/** Each layer of the meat, the middle first, °C; when layers were asked for. */
	readonly layers_C?: readonly number[];
}

/** Energy and water that went in and out, for the balance. All kJ and kg. */
export interface BraiseLedger {
	readonly heatIn_kJ: number;
	readonly heatSteam_kJ: number;
	readonly heatStored_kJ: number;
	readonly waterIn_kg: number;
	readonly waterSteam_kg: number;
	readonly waterLeft_kg: number;
}
