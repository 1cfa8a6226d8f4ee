import { refuse } from "../check/index.ts";
import { areaOf, insideAt, type PanShape, type Piece, packLayer, panWords } from "../pans/index.ts";
import {
	add,
	divide,
	figure,
	multiply,
	reckoned,
	type Sum,
	type Working,
	wholeUp,
	working,
} from "../workings/index.ts";

/** Film of fat to start with, mm, its topping up before each further load, ml, and its density, kg/l. @see model, section D */
export const FILM_MM = 0.4;
export const TOP_UP_ML = 15;
export const FAT_KG_PER_L = 0.92;
/** Gap that lets the steam out, mm. @see model, section D */
export const SEAR_GAP_MM = 15;

/** Gap from which pieces are crowded: the steam has no way out, mm. General practice. */
export const CROWDED_MM = 8;
/** One cook's seconds to lay and lift one piece. @see model, section D */
export const HANDLING_S = 4;

export interface SearWay {
	readonly sides: number;
	readonly minutesPerSide: number;
	readonly gap_mm: number;
	/** Minutes until the pan is as hot again after a load. */
	readonly recovery_min: number;
	readonly burners: number;
	readonly film_mm: number;
	/** What a load after the first of a fat is topped up by, ml; where it is absent each has a film of its own. */
	readonly topUp_ml?: number;
	/** Seconds to lay and lift one piece; none where it is absent. */
	readonly handling_s?: number;
	/** The most pieces that are laid and turned in time, however many would lie. */
	readonly mostPerLoad?: number;
}

/** Loads that one fat takes before it is spent: clean pieces, and floured ones. General practice. */
export const LOADS_A_FAT = 3;
export const LOADS_A_FAT_FLOURED = 1;
/** Liquid that deglazes a pan, as a film over its floor, mm. */
export const DEGLAZE_MM = 1.5;
/** Burners one cook minds while searing. */
export const BURNERS_A_COOK = 2;

/** One filling of the searing pan: when it goes in, on which burner, and what is done after it. */
export interface SearLoad {
	readonly pieces: number;
	readonly burner: number;
	/** Minutes from the first piece in. */
	readonly start_min: number;
	/** The fat is poured off and the pan deglazed after it. */
	readonly changeFat: boolean;
}

export interface SearPlan {
	readonly perLoad: number;
	readonly loads: number;
	/** Wall minutes from the first piece in to the last recovery. */
	readonly minutes: number;
	/** Burners in use, and minutes from one load to the next on each. */
	readonly burners: number;
	readonly cycle_min: number;
	/** Fat for all loads, g; a film so often, and topped up so often. */
	readonly fat_g: number;
	readonly films: number;
	readonly topUps: number;
	readonly film_g: number;
	readonly topUp_g: number;
	/** One cook's minutes. */
	readonly hands_min: number;
	/** Burners times the minutes they are taken. */
	readonly burner_min: number;
	readonly order: readonly SearLoad[];
	/** Times the pans are deglazed, and liquid for one of them, ml. */
	readonly deglazings: number;
	readonly deglaze_ml: number;
	/** How loads, minutes and fat came to what they are. */
	readonly sums: { readonly loads: Working; readonly minutes: Working; readonly fat: Working };
}

/**
 * Searing in loads on the hob.
 *
 * @param pieces  whole pieces to colour
 * @param floured whether they were dredged: flour burns, so the fat is spent sooner
 * @throws {Refusal} naming `piece` when not even one lies in the pan
 * @see model, section D
 */
export function searPlan(
	pan: PanShape,
	piece: Piece,
	pieces: number,
	way: SearWay,
	floured = false,
): SearPlan {
	const floor = insideAt(pan, 0);
	const perLoad = Math.min(
		packLayer(floor, piece, way.gap_mm).length,
		way.mostPerLoad ?? Number.POSITIVE_INFINITY,
	);
	if (perLoad === 0) {
		throw refuse("piece", `lies no way round in the searing pan (${panWords(pan)})`);
	}
	const loadsSum = working(
		"loads",
		wholeUp(divide(figure(pieces, "count", "pieces"), figure(perLoad, "count", "aLoad"))),
		"count",
	);
	const loads = loadsSum.result.value;
	const burners = Math.min(way.burners, loads);
	const aRound = roundOf(Math.min(pieces, perLoad), way);
	const cycle_min = reckoned(aRound);
	const rounds = wholeUp(divide(loadsSum.result, figure(burners, "count", "burners")));
	const minutesSum = working("searMinutes", multiply(rounds, aRound), "min");
	const minutes = minutesSum.result.value;
	const area_mm2 = areaOf(floor);
	const order = loadsInOrder(pieces, perLoad, way.burners, cycle_min, floured);
	const { fat, ...fatGrams } = fatFor(order, way, area_mm2);
	return {
		perLoad,
		loads,
		minutes,
		burners,
		cycle_min,
		...fatGrams,
		hands_min: Math.ceil(burners / BURNERS_A_COOK) * minutes,
		burner_min: loads * cycle_min,
		order,
		deglazings: order.filter(({ changeFat }) => changeFat).length,
		deglaze_ml: (DEGLAZE_MM * area_mm2) / 1000,
		sums: { loads: loadsSum, minutes: minutesSum, fat },
	};
}

/** Minutes from one load to the next on one burner: each side, the heat again, and every piece by hand. */
function roundOf(pieces: number, { sides, minutesPerSide, recovery_min, handling_s = 0 }: SearWay): Sum {
	return add(
		multiply(figure(sides, "count", "sides"), figure(minutesPerSide, "min", "aSide")),
		figure(recovery_min, "min", "toHeatAgain"),
		multiply(figure(pieces, "count", "pieces"), figure(handling_s / 60, "min", "toLayAndLift")),
	);
}

/** Fresh fat is a film; what it loses to a load is topped up until it is changed. */
function fatFor(
	order: readonly SearLoad[],
	{ film_mm, topUp_ml }: SearWay,
	area_mm2: number,
): Pick<SearPlan, "fat_g" | "films" | "topUps" | "film_g" | "topUp_g"> & { readonly fat: Working } {
	const film_g = (film_mm * area_mm2 * FAT_KG_PER_L) / 1000;
	const topUp_g = (topUp_ml ?? 0) * FAT_KG_PER_L;
	// A pan's fat is changed after its last load too, so there are as many films as changes.
	const changes = order.filter(({ changeFat }) => changeFat).length;
	const films = topUp_ml === undefined ? order.length : changes;
	const topUps = order.length - films;
	const times = (count: number, grams: number, what: string) =>
		multiply(figure(count, "count", "times"), figure(grams / 1000, "kg", what));
	const film = times(films, film_g, "aFilm");
	const fat = working("searFat", topUps > 0 ? add(film, times(topUps, topUp_g, "toTopUp")) : film, "kg");
	return { films, topUps, film_g, topUp_g, fat_g: fat.result.value * 1000, fat };
}

/** Loads go round the burners; each pan's fat is changed when it is spent, and after its last load. */
function loadsInOrder(
	pieces: number,
	perLoad: number,
	burners: number,
	cycle_min: number,
	floured: boolean,
): SearLoad[] {
	const loads = Math.ceil(pieces / perLoad);
	const aFat = floured ? LOADS_A_FAT_FLOURED : LOADS_A_FAT;
	return Array.from({ length: loads }, (_, load) => {
		const round = Math.floor(load / burners);
		const isLast = load + burners >= loads;
		return {
			pieces: Math.min(perLoad, pieces - load * perLoad),
			burner: (load % burners) + 1,
			start_min: round * cycle_min,
			changeFat: isLast || (round + 1) % aFat === 0,
		};
	});
}
