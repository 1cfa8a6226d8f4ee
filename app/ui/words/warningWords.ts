import { upperFirst } from "es-toolkit";
import { MOST_WAIT_MIN, type PlanWarning, type StockUse } from "#core/dish";
import type { HeldRungs } from "#core/ovens";
import { ALLERGENS, CUT_WORDS } from "#core/recipe";
import { COLOUR_C } from "#core/sear";
import { durationsWords, durationWords } from "#core/time";
import { HEATS } from "#core/trade";
import { carriedWords, chillWords, comingUpWords, reheatWords, underKilledWords } from "./heatLimitWords.ts";
import { counted, perCent, percent, type Reading } from "./reading.ts";
import type { WarningSaid } from "./WarningSaid.ts";

/** A warning of the plan as a calm senior cook would say it. */
export function warningWords(warning: PlanWarning, reading: Reading): WarningSaid {
	switch (warning.code) {
		case "tooFewFromMeat":
			return {
				says: `The weight on hand makes ${warning.makes} portions; ${warning.wanted} are wanted, ${warning.wanted - warning.makes} short.`,
				remedy: "Buy more, or offer another dish for the rest.",
			};
		case "tooFewFromPans":
			return {
				says: `These pans take ${warning.makes} portions; ${warning.wanted} are wanted, ${warning.wanted - warning.makes} short.`,
				remedy: "Take more pans, or a larger kind.",
			};
		case "orderDue":
			return {
				says: `The order should have gone out ${reading.clock(warning.since)}.`,
				remedy: `Ordered now it comes ${reading.clock(warning.comes)}, before it is needed, ${reading.clock(warning.needed)}.`,
			};
		case "orderTooLate":
			return {
				says: `Ordered now it comes ${reading.clock(warning.comes)}; it is needed ${reading.clock(warning.needed)}.`,
				remedy: "Buy it elsewhere, move the service, or take another dish.",
			};
		case "cutTooLarge":
		case "cutTooSmall":
			return cutWarning(warning, reading);
		case "secondSlower":
			return {
				says: `The ${warning.name} are the slower: both mains are in for ${durationWords(warning.minutes)}.`,
				remedy: "Write the slower one as the first main, or cut it smaller.",
			};
		case "toppingThickness":
			return {
				says: `The topping lies ${reading.length(Math.round(warning.lies_mm))} thick on these pans; the card wants ${reading.length(warning.thickness_mm)}.`,
				remedy: `${reading.mass(warning.wanted_kg)} cover them so; ${reading.mass(warning.there_kg)} are on the card.`,
			};
		case "noVessel":
			return {
				says: `Nothing the kitchen counts makes it tender ${HEATS[warning.heat]}, or takes these pieces.`,
				remedy: "Choose another heat, cut smaller, or add the vessel under Kitchen.",
			};
		case "burnersShort":
			return {
				says: `${warning.wanted} vessels want a burner at once; the hob has ${warning.burners}.`,
				remedy: "Take fewer and larger pots, or move a part into the oven.",
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
		case "inGoes":
			return {
				says: `One filling of the pans takes ${warning.atOnce} of ${warning.pieces} pieces, so it is cooked in ${warning.goes} goes; the first waits hot for ${durationWords(warning.held_min)}. The stock limits: ${stockWords(warning.kinds)}.`,
				remedy:
					"Borrow pans, let another kind be used, or keep the first go above the house's limit until service.",
			};
		case "chillMissed":
		case "chillClose":
			return chillWords(warning, reading);
		case "reheatSlow":
			return reheatWords(warning, reading);
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
		case "comingUpSlow":
		case "comingUpClose":
			return comingUpWords(warning, reading);
		case "underKilled":
		case "underKilledClose":
			return underKilledWords(warning, reading);
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
				says: `The cover will not close: the pieces stand ${reading.length(Math.max(1, warning.over_mm))} too high under it.`,
				remedy: "Use a deeper pan, or cut them lower.",
			};
		case "ovenSpace":
			return {
				says: `${warning.without} of ${warning.of} pans have no rung.${heldWords(warning.held, reading)}`,
				remedy: "Cook in two goes, use flatter pans, or move another dish.",
			};
		case "noOven":
			return {
				says: `No free oven takes these pans at ${reading.temperature(warning.low_C)} to ${reading.temperature(warning.high_C)}.${heldWords(warning.held, reading)}`,
				remedy: "Choose another pan, or look at the ovens under Kitchen.",
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
				says: `Reduced ${reducedWords(warning.asked)}, as the card says, the meat would wait more than ${durationWords(MOST_WAIT_MIN)}; ${reducedWords(warning.reduces)} is what there is time for.`,
				remedy: "Take a wider pot or the tilting pan, or give it body with starch, roux or a purée.",
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
				says: `The sauce ends at ${perCent(warning.end_pct)} salt; ${perCent(warning.high_pct)} is the house's most.`,
				remedy: "Salt less at the start and correct after reduction.",
			};
		case "saltUnder":
			return {
				says: `The sauce ends at ${perCent(warning.end_pct)} salt; ${perCent(warning.low_pct)} is the house's least.`,
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
				remedy: "Set it hotter, or cut smaller.",
			};
		case "beforeOpening":
			return {
				says: `${warning.tasks > 1 ? `${warning.tasks} things fall outside the kitchen's hours, the first` : "Somebody has to be there outside the kitchen's hours,"} at ${reading.clock(warning.at)}.`,
				remedy: "Put on more hands, choose a quicker dish, or cook the day before.",
			};
		case "marinatedTooLong":
			return {
				says: marinadeWords(warning.minutes, warning.longest_min),
				remedy: "Start later; too long and the surface goes soft and mealy.",
			};
		case "noSearPan":
			return {
				says: "The kitchen has no searing pan in which a piece lies.",
				remedy: "Add one under Kitchen; until then searing takes no time in the clock.",
			};
		case "noSaucePot":
			return warning.name === null
				? {
						says: `No pot of the kitchen takes ${reading.volume(warning.wanted_l)} of sauce.`,
						remedy: "Add a pot under Kitchen, or borrow one.",
					}
				: {
						says: `The sauce would stand ${reading.length(warning.depth_mm)} deep in the ${warning.name}, the narrowest there is: under ${reading.length(warning.least_mm)} it catches.`,
						remedy: "Use a narrower pot, or do not boil it down: give it body with a purée or starch.",
					};
		case "meatWaits":
			return {
				says: `The meat would wait ${durationWords(warning.minutes)} between lift and plate.`,
				remedy: "Shorten the sauce, lift later, or hold it hot in its liquid.",
			};
		case "holdHot":
			return {
				says: `${warning.pans === 1 ? "1 pan is" : `${warning.pans} pans are`} held hot, covered, until the last plate: ${durationWords(warning.minutes)} from the lift.`,
				remedy: `Keep rungs free at ${reading.temperature(70)} to ${reading.temperature(80)}, or a warmer; plate pan by pan, so that each is opened once.`,
			};
		case "carryMissed":
		case "carryClose":
			return carriedWords(warning, reading);
		case "holdMissed":
		case "holdClose": {
			const [below, stands] = durationsWords(Math.round(warning.below_min), Math.round(warning.minutes));
			return {
				says: `Under its lid alone it ${warning.code === "holdMissed" ? "is" : "may be"} below ${reading.temperature(warning.limit_C)} after ${below}; the last plate goes after ${stands}.`,
				remedy: "Hold it in a bain-marie or an oven, or lift it later.",
			};
		}
		case "heldTooSoft":
			return {
				says: `It waits hot for ${durationsWords(warning.minutes, warning.sensible_min).join("; after ")} it begins to shred.`,
				remedy: "Put the pans in later, in turns, or hold it cooler above the house code's least.",
			};
		case "platesAMinute":
			return {
				says: `Plating takes ${durationWords(warning.minutes)} with ${warning.hands === 1 ? "1 person" : `${warning.hands} people`}; the first plates would be cold.`,
				remedy: `Put ${warning.people} people at the pass for that time, or serve on platters.`,
			};
		case "searingLong":
			return {
				says: `Searing takes ${durationWords(warning.minutes)}.`,
				remedy: "Colour on trays in the oven or in a tilting pan, or put on another burner and a cook.",
			};
		case "ovenTimes":
			return {
				says: `The ${warning.quick} is done ${durationWords(warning.minutes)} before the ${warning.slow}.`,
				remedy: `The pans of the ${warning.slow} go in first; or put all into ovens of one kind.`,
			};
		case "soaking":
			return {
				says: `No step of the card soaks ${warning.names.join(", ")}.`,
				remedy:
					"Soak them overnight in three times their weight of cold water, or write the step into the card.",
			};
		case "marinadeShort":
			return {
				says: `${reading.volume(warning.litres)} of marinade do not cover the meat; ${reading.volume(warning.wanted_l)} would.`,
				remedy: "Marinate in bags with the air pressed out, make more of it, or turn the meat three times.",
			};
		case "notWhole":
			return {
				says: `A piece comes to ${reading.mass(warning.cooked_g / 1000)} cooked, a portion is ${reading.mass(warning.portion_g / 1000)}: no plate gets whole pieces.`,
				remedy: "Have them cut to the portion, or portion by the piece.",
			};
		case "hiddenSalt":
			return {
				says: `${percent(Math.round(warning.share * 100) / 100)} of the salt comes with ${warning.names.join(", ")}.`,
				remedy: "Salt the meat less, or take unsalted stock; taste before you correct.",
			};
		case "liquorAllergens":
			return {
				says: `${reading.volume(warning.litres)} of liquor are over, with ${warning.notKnown ? "allergens that nobody has described" : warning.contains.map((allergen) => ALLERGENS[allergen]).join(", ")} in it.`,
				remedy:
					"Label it with the dish, its allergens and a use-by, or ladle it over the meat; never unnamed into a stock.",
			};
		case "aheadOffer":
			return {
				says: `${warning.portions} portions: beyond 150 a braise is usually cooked the day before.`,
				remedy:
					"Set “Cooked” to the day before: the sauce is made cold, the fat lifts off, and the ovens are free for reheating.",
			};
		case "noColourOven":
			return {
				says: `No tray and oven for colouring: it needs a shallow pan and ${reading.temperature(COLOUR_C)}.`,
				remedy: "Add trays under Kitchen, or sear in the pan; until then it takes no time in the clock.",
			};
	}
}

function marinadeWords(minutes: number, longest_min: number): string {
	const [lies, most] = durationsWords(minutes, longest_min);
	return `It would lie ${lies} in the marinade; ${most} is the most.`;
}

/** "by half", "by 30 %" */
function reducedWords(share: number): string {
	return Math.abs(share - 0.5) < 0.01 ? "by half" : `by ${percent(Math.round(share * 100) / 100)}`;
}

/** "10 GN 1/1-100, 6 here, 4 for Goat shoulder" */
function stockWords(kinds: readonly StockUse[]): string {
	const words = kinds.map(({ name, stock, here, elsewhere }) =>
		[`${stock} ${name}`, `${here} here`, ...elsewhere.map(({ dish, count }) => `${count} for ${dish}`)].join(
			", ",
		),
	);
	return words.join("; ");
}

/** " Steam oven north: Goat shoulder has 8 rungs at 150 °C." */
function heldWords(held: readonly HeldRungs[], reading: Reading): string {
	return held
		.map(
			({ oven, dish, rungs, set_C }) =>
				` ${oven}: ${dish} has ${counted(rungs, "rung")} at ${reading.temperature(set_C)}.`,
		)
		.join("");
}

type CutWarning = Extract<PlanWarning, { readonly code: "cutTooLarge" | "cutTooSmall" }>;

/** A vegetable that is still hard, or gone, when the dish is lifted. */
function cutWarning(
	{ code, name, cut, minutes, wants_min, suits_mm }: CutWarning,
	reading: Reading,
): WarningSaid {
	const spends = durationWords(Math.round(minutes));
	const wants = durationWords(Math.round(wants_min));
	const what = `${upperFirst(name)}, ${CUT_WORDS[cut.form]} of ${reading.length(cut.mm)},`;
	const says =
		code === "cutTooLarge"
			? `${what} wants ${wants}; it is in the liquid for ${spends}.`
			: `${what} falls apart in ${wants}; it is in the liquid for ${spends}.`;
	const suits =
		suits_mm === null ? "" : `${reading.length(suits_mm.low)} to ${reading.length(suits_mm.high)} suits, or `;
	const join = code === "cutTooLarge" ? "put it in sooner" : `let it join ${wants} before the end or later`;
	return { says, remedy: `${suits}${join}.`.replace(/^./, (first) => first.toUpperCase()) };
}
