import type { Floor, Placed } from "#core/pans";

/** What the drawings are given: millimetres, and the words that say the same. */

export interface PanDrawing {
	readonly rim: { readonly length_mm: number; readonly width_mm: number };
	readonly top: Floor;
	readonly floor: Floor;
	readonly depth_mm: number;
	readonly placed: readonly Placed[];
	/** Pieces are drawn as discs. */
	readonly round: boolean;
	/** Whether it is round from the side too. */
	readonly ball: boolean;
	readonly pieceHeight_mm: number;
	/** Length over the rim, as it is read. */
	readonly across: string;
	readonly words: string;
}

/** A pan brought to its line, cut through. */
export interface CutDrawing {
	/** What lies over the pieces, from the bottom up; nothing where it is left out. */
	readonly over?: readonly {
		readonly from_mm: number;
		readonly to_mm: number;
		readonly of: "meat" | "bed";
		readonly name: string;
	}[];
	readonly line_mm: number;
	readonly bed_mm: number;
	/** How high the pieces stand over what lies under them, mm. */
	readonly pile_mm?: number;
	/** How many pieces lie on one another; one where it is absent. */
	readonly layers?: number;
	readonly lid: string;
	readonly lineWords: string;
	readonly line: string;
	readonly dip: string;
	readonly headspace_mm: number;
	readonly schools: readonly { readonly name: string; readonly mm: number }[];
	readonly words: string;
}

/** Pans of one kind as they stand in an oven, seen from its door. */
export interface OvenPans {
	readonly count: number;
	readonly width_mm: number;
	readonly depth_mm: number;
	/** Beside each other on one level. */
	readonly across: number;
}

export interface OvenDrawing {
	readonly name: string;
	readonly rungs: number;
	readonly pitch_mm: number;
	readonly width_mm: number;
	readonly set: string;
	readonly set_C: number | null;
	/** Counted from the bottom. */
	readonly taken: readonly number[];
	readonly pans: readonly OvenPans[];
	readonly words: string;
}
