import { type Digest, hashOf, NO_HASH } from "./chain.ts";
import type { DocOf } from "./entries.ts";

/** Two pans of goat, made on the day before. */
export const LOT: DocOf<"lot"> = {
	kind: "lot",
	lot: 7,
	dish: "Goat shoulder, smoked paprika, white beans",
	sittingId: "supper",
	dishId: "goat",
	sitting: "Festival supper",
	made: "2026-12-04",
	portions: 60,
	pans: [
		{ tag: "A1", vessel: "GN 1/1-100", depth_mm: 75, kg: 8 },
		{ tag: "A2", vessel: "GN 1/1-100", depth_mm: 75, kg: 8 },
	],
	place: "Blast chiller",
	contents: "Goat, beans, tomato, paprika",
	allergens: "contains celery",
	reheat: "to a core of 75 °C",
	from: [1],
	keeps: { chilled_days: 5, frozen_days: 90, opened_days: 1 },
};

/** Rows chained one after the other. */
export function chainOf(digest: Digest, rows: readonly (readonly (string | number | null)[])[]) {
	let before = NO_HASH;
	return rows.map((said, index) => {
		before = hashOf(digest, before, said);
		return { number: index + 1, hash: before, said };
	});
}
