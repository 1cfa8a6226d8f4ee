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
		drunkBack: 0.04,
		pulsesDrink_l_per_kg: 1.4,
		searFatKept: 0.25,
		stockGelatin_g_per_l: 10,
		evaporation: 1,
	},
	starts: { piece_C: 15, liquid_C: 95, late_C: 18 },
	madeAhead: { chill_min: 120, reheat_min: 60 },
};
