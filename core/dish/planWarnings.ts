import type { Kitchen } from "../kitchen/index.ts";
import { takeQuantity, toBase } from "../quantity/index.ts";
import { isWholeOnPlate, layersOf, type Recipe } from "../recipe/index.ts";
import { minutesOf } from "../safety/index.ts";
import { CROWDED_MM, SEAR_GAP_MM } from "../sear/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { isOpen } from "../time/index.ts";
import { cookedShare, isByPiece } from "../yields/index.ts";
import { cutWarnings } from "./cutWarnings.ts";
import { coldestWarnings, heldWarnings } from "./hotWarnings.ts";
import { liquidWarnings } from "./liquidWarnings.ts";
import { mainWarnings } from "./mainWarnings.ts";
import { inMarinade, marinadeOf } from "./marinade.ts";
import type { Plan } from "./Plan.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { joinsLate, takesRoom, VEGETABLE_KG_PER_L } from "./panLines.ts";
import { goesWarnings, panWarnings } from "./panWarnings.ts";
import type { BraiseGroup, PlanBraise } from "./planBraise.ts";
import { isAllMet } from "./planChill.ts";
import { type PlanColour, searTaken } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import { isMadeAhead, weightOf } from "./planLiquid.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

type Planned = Omit<Plan, "warnings">;

/** Everything that stands in the way of the plan, or is worth a second look. */
export function planWarnings(planned: Planned, kitchen: Kitchen): PlanWarning[] {
	const { recipe, order } = planned;
	const wished = new Map(order.panWishes.map(({ typeId, count }) => [typeId, count]));
	return [
		...sizeWarnings(planned),
		...panWarnings(recipe, kitchen, planned.pans, planned.elsewhere, wished, lateVolume_l(planned.lines)),
		...goesWarnings(planned.recipe, kitchen, planned.pans, planned.elsewhere, planned.tasks),
		...ovenWarnings(planned),
		...tenderWarnings(planned.braise),
		...coldestWarnings(planned.braise, kitchen.policy),
		...ovenTimeWarnings(planned.braise),
		...liquidWarnings(kitchen.policy, planned),
		...cutWarnings(planned),
		...mainWarnings(planned),
		...pieceWarnings(recipe),
		...clockWarnings(planned, kitchen),
		...heldWarnings(planned),
		...chillWarnings(planned, kitchen.policy),
		...reheatWarnings(planned),
		...carryWarnings(planned),
		...colourWarnings(recipe, planned.colour),
	];
}

/** The first limit of the house code that is not met however it goes. */
function chillWarnings({ chill }: Planned, { code }: Kitchen["policy"]): PlanWarning[] {
	const worst = chill?.way.limits.find(({ verdict }) => verdict !== "met");
	if (!chill || !worst) return [];
	const { way, others } = chill;
	const { to_C, within_min, reach, verdict } = worst;
	const best = others.find(isAllMet) ?? others[0];
	return [
		{
			code: verdict === "close" ? "chillClose" : "chillMissed",
			place: "chill",
			to_C,
			within_min,
			minutes: minutesOf(verdict === "close" ? reach.high : reach.likely),
			depth_mm: way.depth_mm,
			deepest_mm: chill.deepest_mm,
			house: code.name,
			remedy: best
				? { meets: isAllMet(best), cooler: best.cooler.name, parts: best.parts, ice: best.ice }
				: null,
			joints: chill.pieces.find(({ meets }) => meets) ?? null,
		},
	];
}

function carryWarnings({ carry }: Planned): PlanWarning[] {
	if (!carry || carry.verdict === "met") return [];
	const { choice, packed_C, limit_C, limit, verdict } = carry;
	return [
		{
			code: verdict === "missed" ? "carryMissed" : "carryClose",
			place: "carry",
			minutes: choice.minutes,
			limit_C,
			packed_C,
			limit_min: minutesOf(verdict === "missed" ? limit.likely : limit.worst) ?? 0,
			hot: choice.hot,
		},
	];
}

function reheatWarnings({ reheat }: Planned): PlanWarning[] {
	if (!reheat?.within_min || reheat.verdict === "met") return [];
	const { core_C, within_min, minutes, verdict, minutesAt, spread } = reheat;
	const hottest = minutesAt.at(-1);
	if (!hottest) return [];
	return [
		{
			code: "reheatSlow",
			place: "reheat",
			core_C,
			within_min,
			minutes: verdict === "close" ? minutes.high : minutes.likely,
			hottest_C: hottest.set_C,
			hottest_min: hottest.minutes.likely,
			spread,
		},
	];
}

/** Room that what joins late takes then, litres. */
function lateVolume_l(lines: readonly PlanLine[]): number {
	const late = lines.filter(joinsLate);
	const lying = late.filter(({ ingredient }) => takesRoom(ingredient));
	const poured = late.filter(({ line }) => line.role === "liquid");
	return (weightOf(lying) / VEGETABLE_KG_PER_L + weightOf(poured)) / 1000;
}

/** Searing that takes longer than this wants another way, minutes. */
const LONG_SEARING_MIN = 120;

/** The way that is taken cannot be done, is crowded, or takes the whole afternoon. */
function colourWarnings(recipe: Recipe, colour: PlanColour | null): PlanWarning[] {
	const { sear } = recipe;
	if (!colour || !sear) return [];
	if (colour.way === "oven") return colour.oven ? [] : [{ code: "noColourOven", place: "sear" }];
	const pan = searTaken(colour);
	if (!pan) return [{ code: "noSearPan", place: "sear" }];
	const found: PlanWarning[] = [];
	if (pan.minutes > LONG_SEARING_MIN)
		found.push({ code: "searingLong", place: "sear", minutes: pan.minutes });
	if (sear.gap_mm >= CROWDED_MM || pan.loads === 1 || !colour.spaced || mayTouch(recipe)) return found;
	const { perLoad, loads } = colour.spaced;
	if (loads > pan.loads)
		found.push({
			code: "crowded",
			place: "sear",
			gap_mm: sear.gap_mm,
			wanted_mm: SEAR_GAP_MM,
			perLoad,
			loads,
		});
	return found;
}

/** Small soft pieces that lie on one another or side by side in their pan may touch in the searing pan too. */
function mayTouch(recipe: Recipe): boolean {
	return recipe.gap_mm === 0 || layersOf(recipe) !== 1;
}

function sizeWarnings({ chain, wanted, setBy }: BatchSize): PlanWarning[] {
	if (chain.portions >= wanted) return [];
	const code = setBy === "meat" ? "tooFewFromMeat" : "tooFewFromPans";
	return [{ code, place: "buy", makes: chain.portions, wanted }];
}

function ovenWarnings({ recipe, pans: { pans }, ovens }: Planned): PlanWarning[] {
	if (pans.length === 0 || ovens.without === 0) return [];
	const { low, high } = recipe.braise.oven_C;
	const { held } = ovens;
	if (ovens.loads.length === 0) return [{ code: "noOven", place: "braise", low_C: low, high_C: high, held }];
	return [{ code: "ovenSpace", place: "braise", without: ovens.without, of: pans.length, held }];
}

/** Ovens whose pans are tender so far apart are two clocks, minutes. */
const APART_MIN = 20;

/** Two ovens that are not done at the same time. */
function ovenTimeWarnings(braise: PlanBraise | null): PlanWarning[] {
	const ovens = (braise?.groups ?? []).filter(({ oven }) => oven !== null);
	const slow = ovens[0];
	const quick = ovens.findLast(({ oven }) => oven?.id !== slow?.oven?.id);
	const minutes = slow && quick ? slow.allowed_min - quick.allowed_min : 0;
	if (!slow?.oven || !quick?.oven || minutes < APART_MIN) return [];
	return [{ code: "ovenTimes", place: "braise", slow: slow.oven.name, quick: quick.oven.name, minutes }];
}

/** Until when a pan has to have liquid: however late it is tender; a cover comes off only when it nearly is. */
function lastUnder({ given, tender_min }: BraiseGroup): number {
	return given.lids === undefined ? tender_min.high : tender_min.likely;
}

/** Pans that never get there, and pans that boil dry before they do. */
function tenderWarnings(braise: PlanBraise | null): PlanWarning[] {
	if (!braise) return [];
	const dry = braise.groups.find(
		(group) => group.braised.dryAt_min !== null && group.braised.dryAt_min <= lastUnder(group),
	);
	if (dry?.braised.dryAt_min) return [{ code: "boilsDry", place: "braise", at_min: dry.braised.dryAt_min }];
	const never = braise.groups.some(({ braised }) => braised.marks.forkTender === null);
	return never ? [{ code: "neverTender", place: "braise" }] : [];
}

function clockWarnings(planned: Planned, { policy }: Kitchen): PlanWarning[] {
	const { recipe, tasks, lines, chain } = planned;
	const isOutside = (at: number) => !isOpen(at, policy.timeZone, policy.hours);
	// Somebody has to be there when a thing begins, and at both ends of what hands do.
	const early = tasks.filter(
		(task) =>
			task.part !== "order" &&
			!task.fills &&
			(isOutside(task.start) || (task.minutes.handsOn.likely > 0 && isOutside(task.end - 1))),
	);
	const [first] = early;
	return [
		...(first && first.place !== "make"
			? [
					{
						code: "beforeOpening" as const,
						place: first.place,
						at: isOutside(first.start) ? first.start : first.end,
						tasks: early.length,
					},
				]
			: []),
		...marinadeWarnings(recipe, tasks),
		...coverWarnings(recipe, marinadeOf({ lines }).litres, chain.trimmed_kg),
		...soakingWarnings(recipe, lines),
		...serviceWarnings(planned),
	];
}

/** Marinade that covers a kilo of meat in a pan, l; in bags less does. General practice. */
export const MARINADE_L_PER_KG = 0.35;
const IN_BAGS_L_PER_KG = 0.15;

/** A wet marinade that does not cover. */
function coverWarnings({ marinate }: Recipe, litres: number, meat_kg: number): PlanWarning[] {
	if (!marinate || litres === 0) return [];
	const aKilo_l = /\bbags?\b/i.test(marinate.container) ? IN_BAGS_L_PER_KG : MARINADE_L_PER_KG;
	const wanted_l = aKilo_l * meat_kg;
	return litres < wanted_l * 0.99 ? [{ code: "marinadeShort", place: "marinate", litres, wanted_l }] : [];
}

/** Pulses that need no soaking. */
const UNSOAKED = /lentil|split|pea\b/i;

/** Dry pulses whose card has no step to soak them. */
function soakingWarnings({ steps }: Recipe, lines: readonly PlanLine[]): PlanWarning[] {
	if (steps.some(({ text }) => /\bsoak/i.test(text))) return [];
	const names = lines
		.filter(({ ingredient: { category, name } }) => category === "pulse" && !UNSOAKED.test(name))
		.map(({ ingredient }) => ingredient.name);
	return names.length > 0 ? [{ code: "soaking", place: "buy", names }] : [];
}

/** Meat that waits longer than this without being held dries, minutes. */
const LONG_WAIT_MIN = 60;
/** Plating that takes longer wants more people at the pass, minutes: the first plates would be cold. */
const LONG_PLATING_MIN = 30;
/** Beyond so many portions a braise is usually made ahead. General practice. */
export const USUALLY_AHEAD = 150;

function serviceWarnings({
	recipe,
	order,
	chain,
	work,
	wait_min,
	hold_min,
	hold,
	pans,
}: Planned): PlanWarning[] {
	const { handsOn_min, wall_min } = work.places.plate;
	const inLastGo = pans.pans.filter(({ go }) => go === pans.goes).length;
	const found: PlanWarning[] = [];
	if (wait_min > LONG_WAIT_MIN && hold_min === 0)
		found.push({ code: "meatWaits", place: "rest", minutes: wait_min });
	if (hold_min > 0)
		found.push({ code: "holdHot", place: "hold", minutes: wait_min + hold_min, pans: inLastGo });
	if (hold && wait_min + hold_min > hold.sensible_min.likely)
		found.push({
			code: "heldTooSoft",
			place: hold_min > 0 ? "hold" : "rest",
			minutes: wait_min + hold_min,
			sensible_min: hold.sensible_min.likely,
		});
	if (wall_min > LONG_PLATING_MIN) {
		const people = Math.ceil(handsOn_min / LONG_PLATING_MIN);
		found.push({ code: "platesAMinute", place: "plate", minutes: wall_min, people, hands: order.hands });
	}
	if (chain.portions > USUALLY_AHEAD && !isMadeAhead(recipe))
		found.push({ code: "aheadOffer", place: "braise", portions: chain.portions });
	return found;
}

function marinadeWarnings({ marinate }: Recipe, tasks: readonly PlacedTask[]): PlanWarning[] {
	const lies = inMarinade(tasks);
	if (!marinate || !lies) return [];
	const { longest_min } = marinate;
	const minutes = lies.result.value;
	return minutes > longest_min ? [{ code: "marinatedTooLong", place: "marinate", minutes, longest_min }] : [];
}

/** Share by which the line and the piece may differ before it is said. */
const PIECE_GAP = 0.1;

function pieceWarnings(recipe: Recipe): PlanWarning[] {
	return [...saidWarnings(recipe), ...wholeWarnings(recipe)];
}

/** Pieces that are neither one, two or three to a plate, nor cut evenly for several. */
function wholeWarnings(recipe: Recipe): PlanWarning[] {
	if (isByPiece(recipe.portion) || isWholeOnPlate(recipe)) return [];
	const cooked_g = recipe.piece.weight_g * cookedShare(recipe.losses);
	return [{ code: "notWhole", place: "plate", cooked_g, portion_g: recipe.portion.portion_g }];
}

function saidWarnings({ lines, piece }: Recipe): PlanWarning[] {
	const said_g = pieceSaid(lines.find((line) => line.role === "main")?.preparation);
	if (said_g === null || Math.abs(said_g / piece.weight_g - 1) <= PIECE_GAP) return [];
	return [{ code: "pieceSize", place: "trim", said_g, piece_g: piece.weight_g }];
}

/** Weight of a piece as the main line says it: "300 g pieces", "pieces of 258 g". */
function pieceSaid(preparation = ""): number | null {
	const said = /([\d.,]+\s*(?:g|kg|oz|lb))\s+pieces?|pieces?\s+of\s+([\d.,]+\s*(?:g|kg|oz|lb))/i.exec(
		preparation,
	);
	const taken = said ? takeQuantity(said[1] ?? said[2] ?? "") : undefined;
	return taken ? toBase(taken.quantity.amount, taken.quantity.unit) : null;
}
