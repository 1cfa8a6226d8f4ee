import type { PanShape } from "../pans/index.ts";
import type { Cut, Lid } from "../trade/index.ts";
import type { MeatShape } from "./MeatHeat.ts";

export type Heat =
	| {
			readonly kind: "stillOven" | "fanOven" | "waterBath" | "pressure" | "slowCooker";
			readonly set_C: number;
	  }
	| { readonly kind: "hob"; readonly simmer: boolean };

/** One pan as it goes in. */
export interface BraiseGiven {
	readonly cut: Cut;
	readonly shape: MeatShape;
	/** Through the piece the shortest way. */
	readonly thickness_mm: number;
	readonly meat_kg: number;
	readonly liquid_l: number;
	readonly pan: PanShape;
	readonly lid: Lid;
	readonly heat: Heat;
	readonly start: { readonly meat_C: number; readonly liquid_C: number };
	/** Share of the meat that it loses as juice; the cut's usual cooking loss. */
	readonly cookingLoss?: number;
	/** Vegetables lying in the liquid; they hold heat as water does. */
	readonly vegetables_kg?: number;
	/** The oven's power and how many such pans share it; without it there is always enough. */
	readonly oven?: { readonly power_kW: number; readonly pans: number };
	/** Times the door is opened, and by how much the air falls. */
	readonly doors?: readonly { readonly at_min: number; readonly drop_C: number }[];
	/** The oven set anew: start hot, then drop. */
	readonly resets?: readonly { readonly at_min: number; readonly set_C: number }[];
	/** The lid changed: off at the end. */
	readonly lids?: readonly { readonly at_min: number; readonly lid: Lid }[];
	/** What joins late and cools the pan. */
	readonly additions?: readonly { readonly at_min: number; readonly kg: number; readonly temp_C: number }[];
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
