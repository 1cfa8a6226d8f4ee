import { MOST_REDUCING_MIN, type PlanWarning, type StockUse } from "#core/plan";
import { threeDigits } from "#core/quantity";
import { COLOUR_C } from "#core/sear";
import { durationWords } from "#core/time";
import { percent, type Reading } from "./reading.ts";

export interface WarningWords {
	/** What is so, with its figures. */
	readonly says: string;
	/** The usual remedy. */
	readonly remedy: string;
}

/** A warning of the plan as a calm senior cook would say it. */
export function warningWords(warning: PlanWarning, reading: Reading): WarningWords {
	switch (warning.code) {
		case "tooFewFromMeat":
			return {
				says: `The weight on hand makes ${warning.makes} portions; ${warning.wanted} are wanted, ${warning.wanted - warning.makes} short.`,
				remedy: "Buy more, or offer another dish for the rest.",
			};
		case "tooFewFromPans":
			return {
				says: `That number of pans makes ${warning.makes} portions; ${warning.wanted} are wanted, ${warning.wanted - warning.makes} short.`,
				remedy: "Take more pans, or a larger kind.",
			};
		case "noPan":
			return {
				says: "No free pan takes these pieces.",
				remedy: "Cut smaller, free the pan for this dish, or add one under Kitchen.",
			};
		case "panStock":
			return {
				says: `${warning.unplaced} pieces have no pan. The stock limits: ${stockWords(warning.kinds)}.`,
				remedy: "Borrow pans, cook in two goes, or let another kind be used.",
			};
		case "wishBeyondStock":
			return {
				says: `Not as many as settled: ${stockWords(warning.kinds)}.`,
				remedy: "Settle fewer, or free some from another dish.",
			};
		case "halfEmpty":
			return {
				says: `${warning.name} holds ${warning.holds} pieces and gets ${warning.pieces}: half empty, so it takes more liquid.`,
				remedy: "Swap it for a smaller pan, or lay the pieces further apart.",
			};
		case "aboveLine":
			return {
				says: `The pieces stand ${reading.length(warning.stands_mm)} out of the liquid; the line says ${reading.length(warning.school_mm)}.`,
				remedy: "Use a deeper pan, fewer vegetables under the meat, or turn the pieces half way.",
			};
		case "crowded":
			return {
				says: `The card lays the pieces ${reading.length(warning.gap_mm)} apart in the searing pan; ${reading.length(warning.wanted_mm)} lets the steam out.`,
				remedy: `Lay ${warning.perLoad} at a time: ${warning.loads} loads.`,
			};
		case "boilsDry":
			return {
				says: `The pans would be dry after about ${durationWords(warning.at_min)}.`,
				remedy: "Cover tighter, raise the line, or top up with boiling stock half way.",
			};
		case "nearlyDry":
			return {
				says: `Only ${reading.volume(warning.left_l)} of ${reading.volume(warning.in_l)} would be left when it is tender.`,
				remedy: "Cover tighter or raise the line, and look half way.",
			};
		case "foilAcid":
			return {
				says: `Foil over ${warning.acids.join(", ")}: acid pits bare aluminium.`,
				remedy: "Parchment first, then the foil; fold one edge so that it opens and closes again.",
			};
		case "countOut":
			return {
				says: `Count out ${warning.counted.map(({ name, count }) => `${count} ${name}`).join(", ")}.`,
				remedy: "As many as were counted in; none of it reaches a plate.",
			};
		case "overfull":
			return {
				says: `The line leaves ${reading.length(warning.dip_mm)} to the rim; ${reading.length(warning.headspace_mm)} is wanted.`,
				remedy: "Use a deeper pan, a lower line, or fewer vegetables under the meat.",
			};
		case "heavy":
			return {
				says: `${warning.pans} of ${warning.of} pans weigh up to ${reading.mass(warning.heaviest_kg)}, over the ${reading.mass(warning.limit_kg)} limit for one.`,
				remedy: "Two carry, pour at the oven, or use smaller pans.",
			};
		case "tallPiece":
			return {
				says: `The pieces stand ${reading.length(Math.max(1, warning.over_mm))} into the headspace.`,
				remedy: "Use a deeper pan, or cut them lower.",
			};
		case "ovenSpace":
			return {
				says: `${warning.without} of ${warning.of} pans have no rung.`,
				remedy: "Cook in two goes, use flatter pans, or move another dish.",
			};
		case "noOven":
			return {
				says: `No free oven takes these pans at ${reading.temperature(warning.low_C)} to ${reading.temperature(warning.high_C)}.`,
				remedy: "Choose another pan, or look at the ovens under Kitchen.",
			};
		case "ratio":
			return {
				says: `The pans take ${reading.volume(warning.pans_l)}; the card's ratio would give ${reading.volume(warning.card_l)}.`,
				remedy:
					warning.pans_l > warning.card_l
						? "Expect a weaker sauce: reduce longer, or lay the pieces closer."
						: "Expect a stronger, shorter sauce: taste for salt before it reduces.",
			};
		case "bedReachesLine":
			return {
				says: "Meat and vegetables alone reach the line.",
				remedy: "Raise the line, or put fewer vegetables under the meat.",
			};
		case "finishTooSalt":
			return {
				says: `Reduced ${reducedWords(warning.asked)}, as the card says, the sauce would be too salt; ${reducedWords(warning.reduces)} is as far as it goes.`,
				remedy: `Pour or ladle off ${reading.volume(warning.tooMuch_l)}, use unsalted stock, and give it body with starch, roux or a purée.`,
			};
		case "finishTooLong":
			return {
				says: `Reduced ${reducedWords(warning.asked)}, as the card says, the meat would wait more than ${durationWords(MOST_REDUCING_MIN)}; ${reducedWords(warning.reduces)} is what there is time for.`,
				remedy: `Pour less, draw ${reading.volume(warning.tooMuch_l)} off at the first check and reduce it meanwhile, or thicken.`,
			};
		case "overfullLate":
			return {
				says: `What joins late brings the liquid to ${reading.length(warning.dip_mm)} below the rim; ${reading.length(warning.headspace_mm)} is wanted.`,
				remedy: "Ladle some off first, or cook it apart.",
			};
		case "sauceShort":
			return {
				says: `${reading.volume(warning.wanted_l)} of sauce are wanted; about ${reading.volume(warning.there_l)} of liquid will be left.`,
				remedy: "Raise the line, bring stock to the pot, or plate less.",
			};
		case "saltOver":
			return {
				says: `The sauce ends at ${threeDigits(warning.end_pct)} % salt; ${threeDigits(warning.high_pct)} % is the house's most.`,
				remedy: "Salt less at the start and correct after reduction.",
			};
		case "saltUnder":
			return {
				says: `The sauce ends at ${threeDigits(warning.end_pct)} % salt; ${threeDigits(warning.low_pct)} % is the house's least.`,
				remedy: "Correct at the end, or look whether a salted stock or condiment brings the rest.",
			};
		case "pieceSize":
			return {
				says: `The line says pieces of ${reading.mass(warning.said_g / 1000)}; the card's piece weighs ${reading.mass(warning.piece_g / 1000)}.`,
				remedy: "Make them one: mixed sizes are not done together.",
			};
		case "neverTender":
			return {
				says: "At this heat it is not tender within two days.",
				remedy: "Set the oven hotter, or cut smaller.",
			};
		case "beforeOpening":
			return {
				says: `It starts at ${reading.clock(warning.at)}, outside the kitchen's hours.`,
				remedy: "Put on more hands, choose a quicker dish, or cook the day before.",
			};
		case "marinatedTooLong":
			return {
				says: `It would lie ${durationWords(warning.minutes)} in the marinade; ${durationWords(warning.longest_min)} is the most.`,
				remedy: "Start later; too long and the surface goes soft and mealy.",
			};
		case "noSearPan":
			return {
				says: "The kitchen has no searing pan.",
				remedy: "Choose one under Kitchen; until then searing takes no time in the clock.",
			};
		case "noColourOven":
			return {
				says: `No tray and oven for colouring: it needs a shallow pan and ${reading.temperature(COLOUR_C)}.`,
				remedy: "Add trays under Kitchen, or sear in the pan; until then it takes no time in the clock.",
			};
	}
}

/** "by half", "by 30 %" */
function reducedWords(share: number): string {
	return Math.abs(share - 0.5) < 0.01 ? "by half" : `by ${percent(Math.round(share * 100) / 100)}`;
}

/** "10 GN 1/1-100, 6 here and 4 for other dishes" */
function stockWords(kinds: readonly StockUse[]): string {
	const words = kinds.map(({ name, stock, here, elsewhere }) =>
		elsewhere > 0
			? `${stock} ${name}, ${here} here and ${elsewhere} for other dishes`
			: `${stock} ${name}, ${here} here`,
	);
	return words.join("; ");
}
