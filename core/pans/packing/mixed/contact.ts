import { HAIR_MM } from "../layer.ts";
import type { Laid } from "./Cell.ts";
import type { Room } from "./room.ts";

export function meets(laid: readonly Laid[], tried: Laid): boolean {
	for (const other of laid) if (overlaps(tried, other)) return true;
	return false;
}

function overlaps(laid: Laid, other: Laid): boolean {
	return (
		laid.left < other.right - HAIR_MM &&
		other.left < laid.right - HAIR_MM &&
		laid.low < other.high - HAIR_MM &&
		other.low < laid.high - HAIR_MM
	);
}

/** Length of edge that touches a neighbour or the wall, mm. */
export function contact(room: Room, laid: readonly Laid[], tried: Laid): number {
	let touched = room.kind === "rectangle" ? wallContact(room, tried) : 0;
	for (const other of laid) {
		if (tried.left === other.right || other.left === tried.right) {
			touched += shared(tried.low, tried.high, other.low, other.high);
		}
		if (tried.low === other.high || other.low === tried.high) {
			touched += shared(tried.left, tried.right, other.left, other.right);
		}
	}
	return touched;
}

function wallContact(room: Extract<Room, { kind: "rectangle" }>, laid: Laid): number {
	const high = laid.high - laid.low;
	const wide = laid.right - laid.left;
	return (
		(laid.left <= -room.halfLength + HAIR_MM ? high : 0) +
		(laid.right >= room.halfLength - HAIR_MM ? high : 0) +
		(laid.low <= -room.halfWidth + HAIR_MM ? wide : 0) +
		(laid.high >= room.halfWidth - HAIR_MM ? wide : 0)
	);
}

function shared(from: number, to: number, otherFrom: number, otherTo: number): number {
	return Math.max(0, Math.min(to, otherTo) - Math.max(from, otherFrom));
}
