import { CHILL_FILM_W_PER_M2K, ICED_WATER_C } from "../chill/index.ts";
import { type PieceSides, sidesOf, thicker, thicknessOf } from "../heat/index.ts";
import { pieceMinutesTo } from "../journey/index.ts";
import type { Cooler } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { HouseCode } from "../safety/index.ts";

/** Whole joints out of their liquid: bagged in iced water, side by side on trays, or portioned first. */
export type PieceWayKind = "bagged" | "onTrays" | "portioned";

/** One way of cooling whole joints by themselves, as it was tried. */
export interface PieceWay {
	readonly way: PieceWayKind;
	/** In what it stands; null in iced water. */
	readonly cooler: string | null;
	/** Of what is cooled, at its thinnest, mm. */
	readonly thick_mm: number;
	/** Until the code's coldest at its warmest, from hot. */
	readonly minutes: number;
	/** Whether each limit is met on the code's clock, from the first that is cold. */
	readonly meets: boolean;
}

/** Thicker than this a piece is a joint, and cools by itself, mm. */
const JOINT_MM = 60;
/** Carved hot it is in slices so thick, mm. General practice. */
const SLICE_MM = 25;

const memo = memoise<string, readonly (number | null)[]>(200);

/**
 * Ways of cooling the joints of a dish by themselves, the quickest first: each by the worse end of what its
 * film may be. Pieces that are no joints have none.
 *
 * @param start_C as they come out of their liquid
 */
export function pieceWays(recipe: Recipe, cooler: Cooler, code: HouseCode, start_C: number): PieceWay[] {
	const sides = sidesOf(recipe.piece);
	if (thicknessOf(sides) < JOINT_MM) return [];
	const air = {
		film_W_per_M2K: CHILL_FILM_W_PER_M2K[cooler.kind === "chiller" ? "blast" : "walkIn"].low,
		C: cooler.air_C,
	};
	const iced = { film_W_per_M2K: CHILL_FILM_W_PER_M2K.iceWater.low, C: ICED_WATER_C };
	const sliced = thicker(sides, SLICE_MM / thicknessOf(sides));
	const tried = (way: PieceWayKind, of: PieceSides, meets: typeof air, name: string | null): PieceWay[] => {
		const { to } = code.cooling;
		const given = { sides: of, boneShare: recipe.losses.boneShare ?? 0, start_C, ...meets };
		const limits_C = to.map(({ to_C }) => to_C);
		const minutes = memo(JSON.stringify([given, limits_C]), () => pieceMinutesTo(given, limits_C));
		const last = minutes.at(-1);
		if (last === null || last === undefined) return [];
		const inTime = to.every(
			({ within_min }, index) => (minutes[index] ?? Number.POSITIVE_INFINITY) <= within_min,
		);
		return [{ way, cooler: name, thick_mm: Math.round(thicknessOf(of)), minutes: last, meets: inTime }];
	};
	return [
		...tried("bagged", sides, iced, null),
		...tried("onTrays", sides, air, cooler.name),
		...tried("portioned", sliced, air, cooler.name),
	].sort((a, b) => Number(b.meets) - Number(a.meets) || a.minutes - b.minutes);
}
