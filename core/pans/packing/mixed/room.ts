import { areaOf, type Floor } from "../../shape/index.ts";
import { HAIR_MM } from "../layer.ts";
import { cornerInset } from "../packLayer.ts";
import type { Laid } from "./Cell.ts";

/** The free room inside a floor, in which cells lie: a rectangle round the middle, or a round. */
export type Room =
	| {
			readonly kind: "rectangle";
			readonly halfLength: number;
			readonly halfWidth: number;
			readonly area: number;
	  }
	| { readonly kind: "circle"; readonly radius: number; readonly area: number };

export function roomOf(floor: Floor, gap_mm: number): Room {
	if (floor.kind === "circle") return { kind: "circle", radius: floor.diameter_mm / 2, area: areaOf(floor) };
	const inset = cornerInset(floor, gap_mm);
	return {
		kind: "rectangle",
		halfLength: floor.length_mm / 2 - inset,
		halfWidth: floor.width_mm / 2 - inset,
		area: areaOf(floor),
	};
}

export function isInside(room: Room, { left, low, right, high }: Laid): boolean {
	if (room.kind === "circle") {
		const x = Math.max(Math.abs(left), Math.abs(right));
		const y = Math.max(Math.abs(low), Math.abs(high));
		return Math.hypot(x, y) <= room.radius + HAIR_MM;
	}
	return (
		left >= -room.halfLength - HAIR_MM &&
		right <= room.halfLength + HAIR_MM &&
		low >= -room.halfWidth - HAIR_MM &&
		high <= room.halfWidth + HAIR_MM
	);
}
