import type { Recipe } from "../recipe/index.ts";
import { ACID, goesIntoPan } from "./panLines.ts";
import type { PlanLine } from "./planLines.ts";

/** So many of a thing by name. */
export interface CountedThing {
	readonly name: string;
	readonly count: number;
}

/** Whole spices and leaves: what goes in is counted out again before a plate leaves. */
export interface WholeSpices {
	/** Tied in sachets, one a pan; none where so few are counted one by one. */
	readonly sachets: number;
	readonly inSachets: readonly CountedThing[];
	readonly loose: readonly CountedThing[];
}

/** More than so many of a thing nobody counts: they are tied in a sachet. General practice. */
export const COUNTED_LOOSE = 12;

/** @param pans pans that the dish is cooked in */
export function wholeSpices(lines: readonly PlanLine[], pans: number): WholeSpices {
	const counted = lines.flatMap((line): CountedThing[] =>
		line.count !== null && line.count > 0 && line.line.role === "potent" && !line.line.apart
			? [{ name: line.ingredient.name, count: line.count }]
			: [],
	);
	const inSachets = counted.filter(({ count }) => count > COUNTED_LOOSE);
	return {
		sachets: inSachets.length > 0 ? Math.max(1, pans) : 0,
		inSachets,
		loose: counted.filter(({ count }) => count <= COUNTED_LOOSE),
	};
}

/** Wine, vinegar and sour fruit under foil, by name: they pit it bare, so parchment goes between. */
export function acidsUnderFoil({ braise }: Recipe, lines: readonly PlanLine[]): string[] {
	if (braise.lid !== "foil") return [];
	const acids = lines.filter((line) => goesIntoPan(line) && ACID.has(line.ingredient.category));
	return [...new Set(acids.map(({ ingredient }) => ingredient.name))];
}
