import type { BraiseGiven } from "#core/braise";
import type { PieceSides } from "#core/heat";

/** Where the lab stands with these pans in it; each is told whole, so the address can be kept. */
export function labAddress(pans: readonly BraiseGiven[]): string {
	const search = new URLSearchParams();
	for (const pan of pans) search.append("pan", JSON.stringify(askedOf(pan)));
	return `/lab?${search}`;
}

function pieceOf(sides: PieceSides) {
	const round = (mm: number) => Math.round(mm * 10) / 10;
	if (sides.kind === "ball") return { diameter_mm: round(sides.diameter_mm) };
	if (sides.kind === "bar") {
		return { diameter_mm: round(sides.diameter_mm), length_mm: round(sides.length_mm) };
	}
	const [length_mm, width_mm, height_mm] = sides.sides_mm.map(round);
	return { length_mm, width_mm, height_mm };
}

/** All that the lab reads; figures to the gram. */
function askedOf(given: BraiseGiven) {
	const { cut, sides, boneShare, meat_kg, liquid_l, pan, lid, heat, start } = given;
	const { cookingLoss, vegetables_kg, oven, lids, resets, doors } = given;
	const round = (value: number) => Math.round(value * 1000) / 1000;
	return {
		cut,
		piece: pieceOf(sides),
		...(boneShare ? { boneShare: round(boneShare) } : {}),
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
