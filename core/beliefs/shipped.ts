import { modelSpreadOf } from "../braise/index.ts";
import { CUTS, type Cut } from "../trade/index.ts";
import type { Beliefs, MinutesBelieved } from "./Beliefs.ts";
import { CUT_GIVES } from "./cutGives.ts";
import { CUT_YIELDS } from "./cutYields.ts";

function ofEach<Value>(believe: (cut: Cut) => Value): Readonly<Record<Cut, Value>> {
	return Object.fromEntries(CUTS.map((cut) => [cut, believe(cut)])) as Record<Cut, Value>;
}

/**
 * What is believed before any log: the middle of general practice, each with its reason where it
 * stands. Shares of the liquid and minutes of what is made ahead are general practice too.
 */
export const SHIPPED_BELIEFS: Beliefs = {
	version: "shipped-1",
	losses: CUT_YIELDS,
	gives: CUT_GIVES,
	minutes: ofEach((cut): MinutesBelieved => ({ times: 1, spread: modelSpreadOf({ cut }) })),
	liquid: {
		juiceOfLoss: 0.75,
		juiceOnTrays: 0.04,
		drunkBack: 0.04,
		pulsesDrink_l_per_kg: 1.4,
		searFatKept: 0.25,
		// A covered 1/1 in a still oven is down by 0.15 to 0.25 l an hour in all; shut it loses half of that.
		steamAtLook_l_per_m2: 0.5,
		looksAnHour: 1,
		evaporation: 1,
	},
	starts: { piece_C: 15, pieceFromTrays_C: 45, liquid_C: 95, late_C: 18 },
	madeAhead: { chill_min: 120, reheat_min: 60 },
};
