import { HAIR_MM } from "../layer.ts";
import type { Cell, Laid } from "./Cell.ts";
import { contact, meets } from "./contact.ts";
import { type Corner, cornersFor, covers, newCorners } from "./corners.ts";
import { isInside, type Room } from "./room.ts";

/** A pan that still takes pieces. */
interface OpenPan {
	readonly laid: Laid[];
	/** Corners that cells already laid have made; those that are covered are dropped. */
	corners: Corner[];
	free: number;
}

export function firstFit(room: Room, order: readonly Cell[]): Laid[][] {
	const pans: OpenPan[] = [];
	for (const cell of order) {
		const area = cell.length * cell.width;
		if (pans.some((pan) => area <= pan.free && put(room, pan, cell))) continue;
		const opened = newPan(room);
		put(room, opened, cell);
		pans.push(opened);
	}
	return pans.map(({ laid }) => laid);
}

/** Whether a cell lies in an empty pan of this kind at all. */
export function fitsAlone(room: Room, cell: Cell): boolean {
	return place(room, newPan(room), cell) !== undefined;
}

function newPan(room: Room): OpenPan {
	const corners = room.kind === "rectangle" ? [{ x: -room.halfLength, y: -room.halfWidth }] : [];
	return { laid: [], corners, free: room.area };
}

function put(room: Room, pan: OpenPan, cell: Cell): boolean {
	const laid = place(room, pan, cell);
	if (!laid) return false;
	pan.free -= cell.length * cell.width;
	pan.corners = [...pan.corners, ...newCorners(room, pan.laid, laid)].filter(
		({ x, y }) => !covers(laid, x, y),
	);
	pan.laid.push(laid);
	return true;
}

/** Where a cell touches most, the lowest and leftmost of such places; undefined when it fits nowhere. */
function place(room: Room, pan: OpenPan, cell: Cell): Laid | undefined {
	let best: Laid | undefined;
	let most = -1;
	for (const { length, width } of turnsOf(cell)) {
		for (const { x, y } of cornersFor(room, pan, length, width)) {
			const tried = { cell, left: x, low: y, right: x + length, high: y + width };
			if (!isInside(room, tried) || meets(pan.laid, tried)) continue;
			const touched = contact(room, pan.laid, tried);
			if (touched > most + HAIR_MM || (touched > most - HAIR_MM && best && isLower(tried, best))) {
				best = tried;
				most = touched;
			}
		}
	}
	return best;
}

function turnsOf({ length, width }: Cell): { length: number; width: number }[] {
	if (length === width) return [{ length, width }];
	return [
		{ length, width },
		{ length: width, width: length },
	];
}

function isLower(laid: Laid, other: Laid): boolean {
	return (
		laid.low < other.low - HAIR_MM || (laid.low < other.low + HAIR_MM && laid.left < other.left - HAIR_MM)
	);
}
