import type { Oven } from "../ovens/index.ts";
import { floorArea, type PanType } from "../pans/index.ts";
import type { AllergenListKey, Ingredient, Preparation } from "../recipe/index.ts";
import type { HouseCode } from "../safety/index.ts";
import type { WorkingHours } from "../time/index.ts";
import type { HeatWay } from "../trade/index.ts";
import type { Cooler } from "./Cooler.ts";

/** A pan or pot over heat. */
export type Vessel = PanType;

/** What has a way of its own to make tender. */
export const COOKER_HEATS = ["slowCooker", "pressure", "bath"] as const satisfies readonly HeatWay[];
export type CookerHeat = (typeof COOKER_HEATS)[number];

/** A slow cooker, a pressure pot, a water bath; a pressure pot without heat of its own stands on a burner. */
export interface Cooker extends Vessel {
	readonly heat: CookerHeat;
	readonly fill: number;
}

/** Insulated boxes of a kind, each for three GN 1/1-100. */
export interface CarryBox {
	readonly id: string;
	readonly name: string;
	readonly count: number;
	readonly loses_W_per_K: number;
}

/** What the kitchen has. */
export interface Equipment {
	readonly pans: readonly PanType[];
	readonly ovens: readonly Oven[];
	/** Shallow pans for colouring in the oven. */
	readonly trays: readonly PanType[];
	/** Pans for searing, the one the house takes first; a tilting pan heats itself. */
	readonly searPans: readonly Vessel[];
	/** Pots beside the round braising pans and the searing pans in which a sauce is finished. */
	readonly pots: readonly Vessel[];
	/** Slow cookers, pressure pots and water baths; none counted where it is left out. */
	readonly cookers?: readonly Cooker[];
	/** Where what is made ahead is cooled; none counted where it is left out. */
	readonly coolers?: readonly Cooler[];
	/** Insulated boxes in which food is carried elsewhere; none counted where it is left out. */
	readonly boxes?: readonly CarryBox[];
	readonly burners: number;
	/** Heat of one burner that reaches the pot, kW. */
	readonly hobPower_kW: number;
}

/** What the house wants. */
export interface HousePolicy {
	readonly headspace_mm: number;
	readonly liftLimit_kg: number;
	/** The limits it works to: one of the presets, or its own. */
	readonly code: HouseCode;
	readonly timeZone: string;
	readonly hours: WorkingHours;
	/** The list of allergens the house declares by. */
	readonly allergenList: AllergenListKey;
	/** What the kitchen's scales read to, g. */
	readonly scaleStep_g: number;
	/** Salt wanted in the finished sauce, %. */
	readonly saltBand_pct: { readonly low: number; readonly high: number };
	/** Share of days on which a dish has to be tender by the time it is lifted. */
	readonly confidence: number;
	/** Height above the sea, m: the boil follows it. */
	readonly altitude_m: number;
}

/** What things are: everything a line can name, and what of it is made in the house. By short name. */
export interface KnownIngredients {
	readonly byId: ReadonlyMap<string, Ingredient>;
	readonly preparations: ReadonlyMap<string, Preparation>;
}

/** Everything a plan needs besides recipe, sitting and beliefs. */
export interface Kitchen {
	readonly equipment: Equipment;
	readonly policy: HousePolicy;
	readonly known: KnownIngredients;
}

/** Whether it has its own heat and takes no burner. */
export function heatsItself(vessel: Vessel): vessel is Vessel & { readonly heat_kW: number } {
	return vessel.heat_kW !== undefined;
}

/** The searing pan that the house takes first on its hob. */
export function searPanOf({ searPans }: Pick<Equipment, "searPans">): Vessel | undefined {
	return searPans.find((vessel) => !heatsItself(vessel));
}

/** The tilting pan, the widest where there are several. */
export function tiltingPanOf({
	searPans,
}: Pick<Equipment, "searPans">): (Vessel & { heat_kW: number }) | undefined {
	const [widest] = searPans.filter(heatsItself).sort((a, b) => floorOf(b) - floorOf(a));
	return widest;
}

/** Everything a sauce can be finished in: pots, round braising pans, searing pans, the tilting pan; the widest first. */
export function saucePotsOf({ pans, pots, searPans }: Equipment): readonly Vessel[] {
	const round = pans.filter(({ shape }) => "round" in shape);
	return [...pots, ...round, ...searPans].sort((a, b) => floorOf(b) - floorOf(a));
}

function floorOf({ shape }: PanType): number {
	return floorArea(shape);
}
