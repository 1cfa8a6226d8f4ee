import type { Piece } from "./Piece.ts";
import { type Layers, stackHeight } from "./pile.ts";
import type { LiquidLine } from "./schemas.ts";

export type { LiquidLine };

/** The schools a kitchen knows by name, shallow to deep. A finger is 15 mm. */
export const LINE_SCHOOLS = [
	{ name: "a third up", line: { share: 1 / 3 } },
	{ name: "half way", line: { share: 0.5 } },
	{ name: "a finger below the top", line: { below_mm: 15 } },
	{ name: "just showing", line: { below_mm: 5 } },
	{ name: "just covered", line: { over_mm: 2 } },
	{ name: "well covered", line: { over_mm: 15 } },
] as const satisfies readonly { name: string; line: LiquidLine }[];

/**
 * Height of the line above the foot of the piece, mm; never below it.
 *
 * @param layers how many pieces lie on one another: they count as one that is so much higher
 */
export function lineAbovePiece(piece: Piece, line: LiquidLine, layers: Layers = 1): number {
	return lineUp(stackHeight(piece, layers), line);
}

/** Height of the line above the foot of pieces that stand so high, mm; never below it. */
export function lineUp(height_mm: number, line: LiquidLine): number {
	if ("share" in line) return height_mm * line.share;
	if ("below_mm" in line) return Math.max(0, height_mm - line.below_mm);
	return height_mm + line.over_mm;
}

/** The line in words: a school's name where it is one. */
export function lineWords(line: LiquidLine): string {
	const school = LINE_SCHOOLS.find(({ line: known }) => sameLine(known, line));
	if (school) return school.name;
	if ("share" in line) return `${Math.round(line.share * 100)} % up the piece`;
	if ("below_mm" in line) return `${line.below_mm} mm below the top`;
	return `${line.over_mm} mm over the top`;
}

function sameLine(liquidLine: LiquidLine, other: LiquidLine): boolean {
	if ("share" in liquidLine) return "share" in other && Math.abs(liquidLine.share - other.share) < 0.005;
	if ("below_mm" in liquidLine) return "below_mm" in other && liquidLine.below_mm === other.below_mm;
	return "over_mm" in other && liquidLine.over_mm === other.over_mm;
}
