import type { Floor } from "../../shape/index.ts";
import type { Placed } from "../layer.ts";
import { packLayer } from "../packLayer.ts";
import type { Cell, Laid } from "./Cell.ts";

/** Pieces of about one size together, each pan in the layout that its largest would have. */
export function bySize(floor: Floor, sorted: readonly Cell[], gap_mm: number): Laid[][] {
	const pans: Laid[][] = [];
	for (let from = 0; from < sorted.length; ) {
		const places = placesForNext(floor, sorted, from, gap_mm);
		const held = sorted.slice(from, from + places.length);
		pans.push(held.map((cell, index) => laidAt(cell, places[index] as Placed)));
		from += held.length;
	}
	return pans;
}

/** The layout for the next pieces in the order, each place large enough for any of those it takes. */
function placesForNext(
	floor: Floor,
	sorted: readonly Cell[],
	from: number,
	gap_mm: number,
): readonly Placed[] {
	let taken = 1;
	let places = layoutFor(floor, sorted.slice(from, from + 1), gap_mm);
	while (places.length > taken && from + taken < sorted.length) {
		const held = sorted.slice(from, from + taken + 1);
		const next = layoutFor(floor, held, gap_mm);
		if (next.length <= taken) break;
		places = next;
		taken += 1;
	}
	return places.slice(0, taken);
}

function layoutFor(floor: Floor, held: readonly Cell[], gap_mm: number): readonly Placed[] {
	const length_mm = Math.max(...held.map(({ length, width }) => Math.max(length, width))) - gap_mm;
	const width_mm = Math.max(...held.map(({ length, width }) => Math.min(length, width))) - gap_mm;
	return packLayer(floor, { shape: "block", length_mm, width_mm, height_mm: 1, weight_g: 1 }, gap_mm);
}

/** In the middle of its place, turned as the place is; the gap round it stays at least what it was. */
function laidAt(cell: Cell, at: Placed): Laid {
	const long = Math.max(cell.length, cell.width);
	const short = Math.min(cell.length, cell.width);
	const [length, width] = at.length_mm >= at.width_mm ? [long, short] : [short, long];
	return {
		cell,
		left: at.x_mm - length / 2,
		right: at.x_mm + length / 2,
		low: at.y_mm - width / 2,
		high: at.y_mm + width / 2,
	};
}
