/** What the mixed packer reckons with. */

export interface Cell {
	readonly piece: number;
	readonly length: number;
	readonly width: number;
}

/** A cell where it lies: its edges from the middle of the floor, mm. */
export interface Laid {
	readonly cell: Cell;
	readonly left: number;
	readonly low: number;
	readonly right: number;
	readonly high: number;
}
