import type { PlanWarning } from "#core/dish";
import type { PlaceKey } from "#core/trade";

/** What of a place fails its limit, in a word that stands in the strip; all else is only advice. */
const MISSES: Partial<Readonly<Record<PlanWarning["code"], string>>> = {
	tooFewFromMeat: "too few",
	tooFewFromPans: "too few",
	orderDue: "order now",
	orderTooLate: "too late",
	noPan: "no pan",
	noVessel: "no vessel",
	panStock: "pans short",
	overfull: "too full",
	heavy: "too heavy",
	noSearPan: "no pan",
	noColourOven: "no oven",
	burnersShort: "burners short",
	noOven: "no oven",
	ovenSpace: "no rung",
	neverTender: "not tender",
	boilsDry: "boils dry",
	comingUpSlow: "slow to heat",
	underKilled: "too little heat",
	meatWaits: "waits long",
	heldTooSoft: "too soft",
	holdMissed: "too cold",
	chillMissed: "too slow",
	reheatSlow: "too slow",
	carryMissed: "too long",
	saltOver: "too salt",
	sauceShort: "short",
	marinatedTooLong: "too long",
	beforeOpening: "closed then",
};

/** The first limit that a place misses; null where it meets all. */
export function missedAt(
	place: PlaceKey,
	warnings: readonly Pick<PlanWarning, "code" | "place">[],
): string | null {
	for (const { code, place: at } of warnings) {
		const word = at === place ? MISSES[code] : undefined;
		if (word) return word;
	}
	return null;
}
