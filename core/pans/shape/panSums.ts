import {
	add,
	figure,
	most,
	multiply,
	type Sum,
	subtract,
	type Working,
	working,
} from "../../workings/index.ts";

/** What one pan is filled by: heights mm above its floor, volumes litres. */
export interface PanParts {
	/** Of the bed, and how far up the pieces the line lies. */
	readonly bed_mm: number;
	readonly up_mm: number;
	readonly depth_mm: number;
	/** Inside up to the line, or to the rim where the line is above it. */
	readonly inside_l: number;
	readonly pieces: number;
	/** Of each piece, and of the bed, below that. */
	readonly piece_l: number;
	readonly bed_l: number;
}

/** Height of the line above the floor, mm. */
export function lineSum({ bed_mm, up_mm }: Pick<PanParts, "bed_mm" | "up_mm">): Sum {
	return add(figure(bed_mm, "mm", "bed"), figure(up_mm, "mm", "lineAboveFoot"));
}

/** Litres to pour: what is inside up to the line, less all that lies below it. @see model, section C */
export function liquidSum({ inside_l, pieces, piece_l, bed_l }: PanParts): Sum {
	return most(
		subtract(
			figure(inside_l, "l", "insideToLine"),
			multiply(figure(pieces, "count", "pieces"), figure(piece_l, "l", "aPieceBelow")),
			figure(bed_l, "l", "vegetablesBelow"),
		),
		figure(0, "l"),
	);
}

/** From the rim down to the liquid, mm. */
export function dipSum(depth_mm: number, line_mm: number): Sum {
	return most(subtract(figure(depth_mm, "mm", "depth"), figure(line_mm, "mm", "line")), figure(0, "mm"));
}

/** What is lifted, kg. */
export function liftedSum(contents_kg: number, pan_kg: number): Sum {
	return add(figure(contents_kg, "kg", "food"), figure(pan_kg, "kg", "thePan"));
}

/** The same as workings, for the page that shows them. */
export function panWorkings(sums: {
	readonly line: Sum;
	readonly liquid: Sum;
	readonly dip: Sum;
	readonly lifted: Sum;
}): Working[] {
	return [
		working("panLine", sums.line, "mm"),
		working("panLiquid", sums.liquid, "l"),
		working("panDip", sums.dip, "mm"),
		working("panLifted", sums.lifted, "kg"),
	];
}
