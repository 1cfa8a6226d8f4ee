import type { CookChoice } from "#core/sitting";
import { HEATS, LIDS } from "#core/trade";
import { percent } from "./reading.ts";

/** How a piece is cut by the butcher. */
export const PIECES: Readonly<Record<number, string>> = {
	1: "pieces whole",
	2: "pieces halved",
	4: "pieces in four",
};

/** "in the oven, 170 °C, tight lid, pieces halved": what is settled beside the card. */
export function cookWords(
	{ heat, set_C, lid, parts, portion }: CookChoice,
	temperature: (C: number) => string,
): string {
	return [
		...(heat === null ? [] : [HEATS[heat]]),
		...(set_C === null ? [] : [temperature(set_C)]),
		...(lid === null ? [] : [LIDS[lid]]),
		...(parts === 1 ? [] : [PIECES[parts] ?? ""]),
		...(portion === undefined ? [] : [`portions of ${percent(portion)}`]),
	].join(", ");
}
