import { readingUnit } from "#core/quantity";
import { durationsWords, durationWords } from "#core/time";
import { LIDS, type Lid } from "#core/trade";
import type { Figure, Working } from "#core/workings";
import type { Reading } from "../ui/words/reading.ts";

/** A figure as it is told, and the value that stands there then. */
export interface FigureTold {
	readonly words: string;
	/** In the figure's own unit, rounded as it is told. */
	readonly value: number;
}

/** Digits that a reader is told, at most. */
const DIGITS = 3;

/**
 * A figure in the reader's units.
 *
 * @param more digits beyond the usual
 */
export function figureWords({ value, unit }: Figure, reading: Reading, more: number): FigureTold {
	switch (unit) {
		case "kg":
			return inUnit(value, 1000, "mass", reading, more);
		case "l":
			return inUnit(value, 1000, "volume", reading, more);
		case "mm":
			return reading.units === "us"
				? inUnit(value, 1, "length", reading, more)
				: { ...fixed(value, more, " mm"), value: Number(value.toFixed(more)) };
		case "min":
			return minutes(value, more);
		case "count":
			return { words: value.toLocaleString("en-GB", { maximumFractionDigits: more }), value };
		case "share": {
			const told = significant(value * 100, DIGITS + more);
			return { words: `${told.words} %`, value: told.value / 100 };
		}
		case "percent":
			return withUnit(significant(value, DIGITS + more), "%");
		case "instant":
			return { words: reading.clock(value), value };
		case "°C":
			return { words: reading.temperature(value), value };
		case "g/l":
			return withUnit(significant(value, DIGITS + more), "g/l");
		case "kg/l": {
			const told = significant(value * 1000, DIGITS + more);
			return { words: `${told.words} g/l`, value: told.value / 1000 };
		}
		case "number":
			return significant(value, DIGITS + more);
	}
}

function withUnit(told: FigureTold, symbol: string): FigureTold {
	return { ...told, words: `${told.words} ${symbol}` };
}

function fixed(value: number, decimals: number, symbol: string): FigureTold {
	const words = value.toLocaleString("en-GB", {
		minimumFractionDigits: 0,
		maximumFractionDigits: decimals,
	});
	return { words: `${words.replace("-", "−")}${symbol}`, value };
}

/** So many significant digits, but no fewer than stand before the point. */
function significant(value: number, digits: number): FigureTold {
	const decimals = value === 0 ? 0 : digits - 1 - Math.floor(Math.log10(Math.abs(value)));
	// Rounded once: to its digits, and never finer than so many decimals.
	const rounded = Number(
		decimals > 0 ? value.toFixed(Math.min(decimals, digits)) : value.toPrecision(digits),
	);
	const words = rounded.toLocaleString("en-GB", { maximumFractionDigits: 9 }).replace("-", "−");
	return { words, value: rounded };
}

/** In the unit of its size, as weights and volumes are read. */
function inUnit(
	value: number,
	perUnit: number,
	dimension: "mass" | "volume" | "length",
	reading: Reading,
	more: number,
): FigureTold {
	const { symbol, amount, base } = readingUnit(value * perUnit, dimension, reading.units);
	const told = significant(amount, DIGITS + more);
	return { words: `${told.words} ${symbol}`, value: (told.value * base) / perUnit };
}

function minutes(value: number, more: number): FigureTold {
	if (more === 0 || Number.isInteger(value)) {
		return { words: durationWords(value), value: Math.round(value) };
	}
	const rounded = Number(value.toFixed(more));
	return { words: `${rounded} min`, value: rounded };
}

/** What each figure of a plan is called. */
export const LABELS: Readonly<Record<string, (working: Working) => string>> = {
	portionsWanted: () => "Portions wanted",
	portionsMade: () => "Portions it makes",
	portionsTake: () => "The portions take",
	packs: () => "Packs",
	cooked: () => "Cooked",
	trimmed: () => "Trimmed",
	asPurchased: () => "As purchased",
	order: () => "Order",
	trimToStock: () => "Trim, to stock",
	pieces: () => "Pieces",
	work: () => "Work",
	start: ({ about }) => STARTS[`${about?.place}.${about?.part}`] ?? "Start",
	inMarinade: () => "In the marinade",
	loads: () => "Loads",
	searMinutes: () => "On the wall clock",
	searFat: () => "Fat",
	trays: () => "Trays",
	trayMinutes: () => "On the wall clock",
	trayHands: () => "One cook's time",
	takenForIt: () => "Taken for the sauce",
	forSauce: () => "For the sauce",
	toPour: () => "To pour",
	poured: () => "In the pans",
	boiledDown: ({ about }) => `${about?.name}, boiled down`,
	fillsUp: ({ about }) => String(about?.name),
	fromVegetables: () => "From vegetables",
	outOfTheMeat: () => "Out of the meat",
	steamedAway: () => "Steamed away",
	left: () => "Left when lifted",
	toTheSauce: () => "Left for the sauce",
	saltIn: () => "Salt that goes in",
	saltWhenLifted: () => "Salt when lifted",
	panLine: ({ about }) => `${about?.pan}, line`,
	panLiquid: ({ about }) => `${about?.pan}, liquid`,
	panDip: ({ about }) => `${about?.pan}, dip`,
	panLifted: ({ about }) => `${about?.pan}, to carry`,
	tenderFirst: () => "Check first",
	tenderLikely: () => "Likely tender",
	tenderLate: () => "Nine in ten by",
	finishedSauce: () => "Finished sauce",
	fatPouredOff: () => "Fat that comes off",
	drawnOff: () => "Drawn off at the first look",
	boilsAfter: () => "Left to boil away after the lift",
	taken: () => "Taken to reduce",
	mark: () => "Mark on the stick",
	toReduce: () => "To reduce",
	saltOfSauce: () => "Salt of the sauce",
	orStarch: () => "Or starch",
	orRoux: () => "Or roux",
	orKneaded: () => "Or kneaded butter",
	sauceMinutes: () => "Sauce on the clock",
};

/** What starts then, by place and part. */
const STARTS: Readonly<Record<string, string>> = {
	"buy.order": "Order by",
	"trim.work": "Trim from",
	"marinate.marinade": "Into the marinade",
	"sear.colour": "Colour from",
	"build.work": "Build from",
	"panUp.work": "Pan up from",
	"braise.oven": "In",
	"braise.late": "Add",
	"rest.lift": "Lift",
	"chill.chill": "Chill from",
	"reheat.reheat": "Reheat from",
	"sauce.work": "Sauce from",
	"plate.work": "Plate from",
};

/** What a figure in a sum is; nothing where it speaks for itself. */
export function termName(what: string | undefined): string {
	if (what === undefined) return "";
	if (what.startsWith("name:")) return what.slice(5);
	return TERMS[what] ?? "";
}

const TERMS: Readonly<Record<string, string>> = {
	covers: "covers",
	portionsAGuest: "portions a guest",
	takingIt: "taking it",
	spare: "spare",
	onHand: "on hand",
	aPiece: "a piece",
	aPortion: "a portion",
	aPortionCooked: "a portion",
	aPortionOfSauce: "a portion",
	piecesInPans: "pieces in the pans",
	portions: "portions",
	portionsTake: "for the portions",
	packs: "packs",
	pieces: "pieces",
	trim: "trim",
	bone: "bone",
	cookingLoss: "lost in cooking",
	trimmed: "trimmed",
	cooked: "cooked",
	asPurchased: "as purchased",
	aPack: "a pack",
	oneCook: "for one cook",
	cooks: "cooks",
	waiting: "waiting",
	service: "service",
	over: "when it is over",
	allowed: "allowed",
	marinade: "in the marinade",
	marinadeIn: "in",
	drained: "drained",
	aLoad: "a load",
	loads: "loads",
	burners: "burners",
	sides: "sides",
	aSide: "a side",
	toHeatAgain: "to heat again",
	aFilm: "a film",
	toTopUp: "to top up",
	times: "×",
	toLayAndLift: "to lay and lift one",
	trays: "trays",
	aTray: "a tray",
	atOnce: "at once",
	aFilling: "a filling",
	betweenFillings: "between fillings",
	aTrayByHand: "a tray to lay, oil, turn and lift",
	pans: "pans of",
	in: "in",
	leftOfIt: "left of it",
	byTheCard: "by the card",
	toFillThePans: "to fill the pans",
	takenForIt: "taken for it",
	rawMeat: "of meat",
	givenAtSearing: "comes off its skin",
	steam: "of steam",
	givenByItself: "from meat and vegetables",
	forTheSauce: "for the sauce",
	thirdUp: "a third up the piece",
	boiledDownWine: "of wine boiled down",
	toTheLine: "to the line of the card",
	lostByMeat: "lost by the meat",
	inThePan: "of it in the pan",
	fatAtSearing: "of fat at searing",
	driedOnTrays: "dried on the trays",
	aPlate: "a plate",
	goes: "fillings",
	boilsAway: "to boil away",
	boilsBefore: "boils away before the lift",
	mayBeDrawn: "that may be drawn off",
	ofItBoilsAway: "of it boils away",
	saltOfFinish: "of salt with the finish",
	itsFat: "of its fat",
	poured: "poured",
	fromVegetables: "from vegetables",
	outOfTheMeat: "out of the meat",
	steamedAway: "steamed away",
	takenUp: "taken up",
	liquidLeft: "of liquid",
	carriedOff: "with the strained vegetables",
	pureedBack: "of vegetables puréed back",
	vegetables: "of vegetables",
	meat: "of meat",
	salt: "of salt",
	bed: "of vegetables",
	lineAboveFoot: "up the piece",
	insideToLine: "inside up to the line",
	aPieceBelow: "of each piece below it",
	vegetablesBelow: "of vegetables",
	depth: "deep",
	line: "to the line",
	food: "of food",
	thePan: "of pan",
	tenderLow: "at the soonest",
	tenderLikely: "likely",
	tenderHigh: "nine times in ten",
	sauce: "of sauce",
	boiledAway: "boiled away",
	mostSalt: "of salt at the most",
	saltWhenLifted: "when lifted",
	thereIs: "there are",
	boilsAwayInTime: "that boil away in time",
	floorOfPot: "m² of pot",
	kJ: "kJ a litre",
	kW: "kW",
	secondsAMinute: "s a minute",
	mmAnHour: "mm an hour at the most",
	minutesAnHour: "min an hour",
	aLitre: "a litre",
	flourInIt: "for the flour in it",
	reducing: "reducing",
	bySteps: "by the steps",
};

type Note = (working: Working, reading: Reading) => string;
const number = (working: Working, name: string) => Number(working.about?.[name] ?? 0);

/** What has to be said beside a sum. */
export const NOTES: Readonly<Record<string, Note>> = {
	inMarinade: (working) =>
		`the card asks ${durationsWords(number(working, "asked_min"), number(working, "longest_min")).join(", at most ")}`,
	loads: (working, reading) =>
		`${working.about?.pan}, ${reading.length(number(working, "gap_mm"))} between the pieces`,
	trays: ({ about }) => String(about?.tray ?? ""),
	trayMinutes: ({ about }) => `in the ${about?.oven}`,
	steamedAway: (working) =>
		`all pans, ${LIDS[(working.about?.lid ?? "lid") as Lid]}, in the ${durationWords(number(working, "minutes"))} until it is likely tender`,
	panLine: ({ about }) => `it holds ${about?.capacity} ${LAYERS[String(about?.layers)] ?? "in one layer"}`,
	panDip: (working, reading) =>
		`at least ${reading.length(number(working, "headspace_mm"))} of headspace is kept`,
	panLifted: (working, reading) => `the limit for one is ${reading.mass(number(working, "limit_kg"))}`,
	toPour: ({ about }) => POURED[String(about?.decidedBy)] ?? "",
	drawnOff: (working) =>
		`boils down ${durationWords(number(working, "minutes"))} while the meat stays covered; a third stays with it`,
	taken: ({ about }) => TAKEN[String(about?.limitedBy)] ?? "",
	mark: ({ about }) =>
		`in ${Number(about?.pots) > 1 ? `each of ${about?.pots} ` : "the "}${about?.pot}${Number(about?.goes) > 1 ? `, filled ${about?.goes} times` : ""}`,
	orStarch: () => "slaked in twice its weight of water, added in thirds",
	orRoux: () => "with as much fat; brings gluten",
	orKneaded: () => "with as much butter; brings gluten and milk",
};

const LAYERS: Readonly<Record<string, string>> = { 2: "two deep", poured: "poured as they fall" };

const POURED: Readonly<Record<string, string>> = {
	sauce: "what the sauce asks",
	least: "the meat asks more than the sauce; the rest is over",
	line: "the line is the most",
	wine: "what the wine brings",
};

const TAKEN: Readonly<Record<string, string>> = {
	salt: "more would make it too salt",
	time: "more would keep the meat waiting",
	liquid: "there is no more",
};
