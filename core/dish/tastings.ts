import { ACID_ML_PER_L } from "../liquid/index.ts";
import { STARCH_G_PER_L } from "../sauce/index.ts";
import type { PlaceKey } from "../trade/index.ts";
import { lastTaskAt, type Plan, taskAt } from "./Plan.ts";

/** One of three times that a dish is tasted: the liquid, the sauce, the plate. */
export interface Tasting {
	readonly of: "liquid" | "sauce" | "plate";
	readonly place: PlaceKey;
	readonly at: number;
	/** Salt that brings the finished sauce up by a tenth of a per cent, g. */
	readonly saltTenth_g: number;
	/** What of salt the sauce comes to as it is planned, %; null where it has no sauce. */
	readonly ends_pct: number | null;
	/** What mends it, each one step; null where there is no sauce yet. */
	readonly mends: Mends | null;
}

/** One step of each correction; then it is tasted again. */
export interface Mends {
	/** Unsalted stock that takes a tenth of a per cent of salt out, l; null where there is hardly any. */
	readonly tooSalt_l: number | null;
	/** Stock that thins it by a twentieth, l. */
	readonly tooThick_l: number;
	/** Starch for a quarter of a light coating, slaked in twice its weight, g. */
	readonly tooThin_g: number;
	/** Vinegar or juice, ml. */
	readonly tooRich_ml: number;
}

const TENTH_PCT = 0.1;
const THINS_BY = 0.05;
const QUARTER = 0.25;
/** Before the plates the sauce is bound and tasted so long, minutes. General practice. */
const BEFORE_PLATES_MIN = 5;

/**
 * The three tastings of a dish: the liquid before it goes on, the sauce before it is bound, the plate
 * before the first leaves.
 */
export function tastingsOf(plan: Pick<Plan, "tasks" | "order" | "liquid" | "sauce" | "salt_pct">): Tasting[] {
	const panUp = taskAt(plan, "panUp");
	const sauce = lastTaskAt(plan, "sauce");
	const plate = taskAt(plan, "plate");
	const saltTenth_g = gramsForTenth(plan);
	const ends_pct = plan.salt_pct;
	const mends = mendsOf(plan);
	return [
		...(panUp && plan.liquid
			? [{ of: "liquid", place: "build", at: panUp.start, saltTenth_g, ends_pct, mends: null } as const]
			: []),
		...(sauce && mends
			? [
					{
						of: "sauce",
						place: "sauce",
						at: Math.max(sauce.start, sauce.end - BEFORE_PLATES_MIN * 60_000),
						saltTenth_g: mends.saltTenth_g,
						ends_pct,
						mends,
					} as const,
				]
			: []),
		...(plate
			? [
					{
						of: "plate",
						place: "plate",
						at: plate.start,
						saltTenth_g: mends?.saltTenth_g ?? saltTenth_g,
						ends_pct,
						mends,
					} as const,
				]
			: []),
	];
}

/** While all of it still shares the salt: what goes in is shared by liquid, meat and vegetables, and gathered on reducing. */
function gramsForTenth({ liquid, sauce }: Pick<Plan, "liquid" | "sauce">): number {
	if (!liquid) return 0;
	const shared_kg = liquid.left_l + liquid.vegetables_kg + liquid.cooked_kg;
	const gathers = sauce && sauce.wanted_l > 0 && sauce.take_l > 0 ? sauce.take_l / sauce.wanted_l : 1;
	return ((TENTH_PCT / 100) * shared_kg * 1000) / gathers;
}

function mendsOf({ sauce }: Pick<Plan, "sauce">): (Mends & { readonly saltTenth_g: number }) | null {
	if (!sauce || sauce.wanted_l === 0) return null;
	const { wanted_l, salt_pct } = sauce;
	const less_pct = salt_pct - TENTH_PCT;
	return {
		saltTenth_g: (TENTH_PCT / 100) * wanted_l * 1000,
		tooSalt_l: less_pct > TENTH_PCT ? (wanted_l * TENTH_PCT) / less_pct : null,
		tooThick_l: wanted_l * THINS_BY,
		tooThin_g: wanted_l * STARCH_G_PER_L * QUARTER,
		tooRich_ml: wanted_l * ACID_ML_PER_L,
	};
}
