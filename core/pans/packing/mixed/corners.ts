import { HAIR_MM } from "../layer.ts";
import type { Laid } from "./Cell.ts";
import type { Room } from "./room.ts";

/** A lower left corner at which a cell may be tried. */
export interface Corner {
	readonly x: number;
	readonly y: number;
}

/** A pan with what lies in it and the corners that has made. */
interface Cornered {
	readonly laid: readonly Laid[];
	readonly corners: readonly Corner[];
}

/** Right of the new cell and above it, there and slid down or left until something is met. */
export function newCorners(room: Room, laid: readonly Laid[], { left, low, right, high }: Laid): Corner[] {
	let floor = room.kind === "rectangle" ? -room.halfWidth : -room.radius;
	let side = room.kind === "rectangle" ? -room.halfLength : -room.radius;
	for (const other of laid) {
		if (other.left < right + HAIR_MM && other.right > right + HAIR_MM && other.high < low + HAIR_MM) {
			floor = Math.max(floor, other.high);
		}
		if (other.low < high + HAIR_MM && other.high > high + HAIR_MM && other.right < left + HAIR_MM) {
			side = Math.max(side, other.right);
		}
	}
	return [
		{ x: right, y: low },
		{ x: left, y: high },
		{ x: right, y: floor },
		{ x: side, y: high },
	];
}

export function covers({ left, low, right, high }: Laid, x: number, y: number): boolean {
	return x > left - HAIR_MM && x < right - HAIR_MM && y > low - HAIR_MM && y < high - HAIR_MM;
}

/** Lower left corners worth trying: those the cells have made, and in a round also against its wall. */
export function cornersFor(room: Room, pan: Cornered, length: number, width: number): readonly Corner[] {
	return room.kind === "circle" ? cornersInRound(room.radius, pan, length, width) : pan.corners;
}

/** The lowest row may begin where so many of the same lie side by side. */
const FOOT_ROWS = 5;

function cornersInRound(radius: number, pan: Cornered, length: number, width: number): Corner[] {
	const foot: Corner[] = [];
	for (let count = 1; count <= FOOT_ROWS && (count * length) / 2 <= radius; count += 1) {
		const half = (count * length) / 2;
		foot.push({ x: -half, y: -Math.sqrt(radius * radius - half * half) });
	}
	const wall = pan.laid.flatMap(({ right, high }) => [
		{ x: -reach(radius, high, high + width), y: high },
		{ x: right, y: -reach(radius, right, right + length) },
	]);
	return [...foot, ...pan.corners, ...wall];
}

/** How far the round reaches along one way for all between two heights of the other. */
function reach(radius: number, from: number, to: number): number {
	const far = Math.max(Math.abs(from), Math.abs(to));
	return Math.sqrt(Math.max(0, radius * radius - far * far));
}
