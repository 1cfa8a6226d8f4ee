import type { BraiseGiven } from "#core/braise";

/** Where the lab stands with these pans in it; each is told whole, so the address can be kept. */
export function labAddress(pans: readonly BraiseGiven[]): string {
	const search = new URLSearchParams();
	for (const pan of pans) search.append("pan", JSON.stringify(askedOf(pan)));
	return `/lab?${search}`;
}

/** All that the lab reads; figures to the gram. */
function askedOf(given: BraiseGiven) {
	const { cut, shape, thickness_mm, meat_kg, liquid_l, pan, lid, heat, start } = given;
	const { cookingLoss, vegetables_kg, oven, lids, resets, doors } = given;
	const round = (value: number) => Math.round(value * 1000) / 1000;
	return {
		cut,
		shape,
		thickness_mm: round(thickness_mm),
		meat_kg: round(meat_kg),
		liquid_l: round(liquid_l),
		pan,
		lid,
		heat,
		start,
		...(cookingLoss === undefined ? {} : { cookingLoss: round(cookingLoss) }),
		...(vegetables_kg ? { vegetables_kg: round(vegetables_kg) } : {}),
		...(oven ? { oven } : {}),
		...(lids ? { lids } : {}),
		...(resets ? { resets } : {}),
		...(doors ? { doors } : {}),
	};
}
