import { HAIR_MM } from "../layer.ts";
import type { Laid } from "./Cell.ts";
import type { Room } from "./room.ts";

export function meets(laid: readonly Laid[], one: Laid): boolean {
	for (const other of laid) if (overlaps(one, other)) return true;
	return false;
}

function overlaps(one: Laid, other: Laid): boolean {
	return (
		one.left < other.right - HAIR_MM &&
		other.left < one.right - HAIR_MM &&
		one.low < other.high - HAIR_MM &&
		other.low < one.high - HAIR_MM
	);
}

/** Length of edge that touches a neighbour or the wall, mm. */
export function contact(room: Room, laid: readonly Laid[], one: Laid): number {
	let touched = room.kind === "rectangle" ? wallContact(room, one) : 0;
	for (const other of laid) {
		if (one.left === other.right || other.left === one.right) {
			touched += shared(one.low, one.high, other.low, other.high);
		}
		if (one.low === other.high || other.low === one.high) {
			touched += shared(one.left, one.right, other.left, other.right);
		}
	}
	return touched;
}

function wallContact(room: Extract<Room, { kind: "rectangle" }>, one: Laid): number {
	const high = one.high - one.low;
	const wide = one.right - one.left;
	return (
		(one.left <= -room.halfLength + HAIR_MM ? high : 0) +
		(one.right >= room.halfLength - HAIR_MM ? high : 0) +
		(one.low <= -room.halfWidth + HAIR_MM ? wide : 0) +
		(one.high >= room.halfWidth - HAIR_MM ? wide : 0)
	);
}

function shared(from: number, to: number, otherFrom: number, otherTo: number): number {
	return Math.max(0, Math.min(to, otherTo) - Math.max(from, otherFrom));
}
