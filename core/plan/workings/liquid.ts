import type { Kitchen } from "../../kitchen/index.ts";
import { floorArea } from "../../pans/index.ts";
import {
	KNEADED_FLOUR_G_PER_L,
	MOST_STEAM_KG_PER_M2_H,
	ROUX_FLOUR_G_PER_L,
	STARCH_G_PER_L,
	STEAM_KJ_PER_KG,
} from "../../sauce/index.ts";
import {
	add,
	divide,
	type Figure,
	figure,
	least,
	lessShare,
	most,
	multiply,
	type Sum,
	subtract,
	type Working,
	working,
} from "../../workings/index.ts";
import type { PlanLine } from "../planLines.ts";
import { dredgedFlour, type PlanLiquid } from "../planLiquid.ts";
import type { PlanSauce } from "../planSauce.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";

/** What is poured, line by line, and what becomes of it until the meat is lifted. */
export function liquidWorkings(plan: WorkedPlan): Working[] {
	const { pans, lines } = plan;
	if (pans.pans.length === 0) return [];
	const liquids = lines.filter(({ line }) => line.role === "liquid" && line.late_min === undefined);
	return [
		...pourWorkings(plan),
		working("poured", sumOf(alike(pans.pans.map(({ liquid_l }) => liquid_l))), "l"),
		...liquids.flatMap((line) => liquidLine(line)),
		...accountWorkings(plan),
	];
}

/** What the sauce asks to be poured, and what decides: the sauce, a third up the piece, or the line. */
function pourWorkings({ pour, sauce, sauce_l }: WorkedPlan): Working[] {
	if (!pour || !sauce) return [];
	const { asked_l, steam_l, own_l, least_l, most_l, fixed_l, forSauce_l, poured_l, decidedBy } = pour;
	const forSauce = working(
		"forSauce",
		most(
			subtract(
				add(
					multiply(
						figure(sauce_l, "l", "sauce"),
						figure(sauce_l > 0 ? asked_l / sauce_l : 1, "number", "toALitre"),
					),
					figure(steam_l, "l", "steam"),
				),
				figure(own_l, "l", "givenByItself"),
			),
			figure(0, "l"),
		),
		"l",
	);
	if (decidedBy === "chef") return [forSauce];
	const needed = [
		figure(forSauce_l, "l", "forTheSauce"),
		figure(least_l, "l", "thirdUp"),
		...(fixed_l > 0 ? [figure(fixed_l, "l", "boiledDownWine")] : []),
	];
	return [
		forSauce,
		working("toPour", least(most(...needed), figure(most_l, "l", "toTheLine")), "l", {
			decidedBy,
			poured_l,
		}),
	];
}

/** Equal litres together: "4 × 2.31 l + 2 × 1.9 l". */
function alike(litres: readonly number[]): Sum[] {
	const counts = new Map<number, number>();
	for (const litre of litres) counts.set(litre, (counts.get(litre) ?? 0) + 1);
	return [...counts].map(([value, count]) =>
		count === 1 && counts.size > 1
			? figure(value, "l")
			: multiply(figure(count, "count", "pans"), figure(value, "l")),
	);
}

function sumOf(terms: readonly Sum[]): Sum {
	const [only = figure(0, "l")] = terms;
	return terms.length > 1 ? add(...terms) : only;
}

function liquidLine({ ingredient, line, measure_ml, card_ml }: PlanLine): Working[] {
	const about = { name: ingredient.name };
	const litres = (measure_ml ?? 0) / 1000;
	if (line.reducedTo !== undefined) {
		const boiled = multiply(figure(litres, "l", "in"), figure(line.reducedTo, "share", "leftOfIt"));
		return [working("boiledDown", boiled, "l", about)];
	}
	if (card_ml === null || card_ml === 0) return [];
	const fills = multiply(
		figure(card_ml / 1000, "l", "byTheCard"),
		figure(litres / (card_ml / 1000), "number", "toFillThePans"),
	);
	return [working("fillsUp", fills, "l", about)];
}

function accountWorkings({ liquid, recipe, braise_min }: WorkedPlan): Working[] {
	if (!liquid) return [];
	const { juice } = liquid;
	return [
		...fromVegetables(liquid),
		working(
			"outOfTheMeat",
			subtract(
				multiply(figure(juice.loss_kg, "kg", "lostByMeat"), figure(juice.share, "share", "inThePan")),
				figure(juice.fat_kg, "kg", "itsFat"),
				...(juice.searing_kg > 0 ? [figure(juice.searing_kg, "kg", "fatAtSearing")] : []),
				...(juice.dried_l > 0 ? [figure(juice.dried_l, "kg", "driedOnTrays")] : []),
			),
			"l",
		),
		working("steamedAway", figure(liquid.evaporated_l, "l", "steam"), "l", {
			lid: recipe.braise.lid,
			minutes: braise_min.likely,
		}),
		working(
			"left",
			subtract(
				add(
					figure(liquid.poured_l, "l", "poured"),
					figure(liquid.fromVegetables_l, "l", "fromVegetables"),
					figure(liquid.weeping_l, "l", "outOfTheMeat"),
				),
				figure(liquid.evaporated_l, "l", "steamedAway"),
				...(liquid.absorbed_l > 0 ? [figure(liquid.absorbed_l, "l", "takenUp")] : []),
			),
			"l",
		),
		...strainedWorkings(liquid),
		...saltWorkings(liquid),
	];
}

/** What straining leaves of it for the sauce, or what a purée adds. */
function strainedWorkings({ left_l, carried_l, puree_l }: PlanLiquid): Working[] {
	if (carried_l === 0 && puree_l === 0) return [];
	const left = figure(left_l, "l", "liquidLeft");
	const sum =
		carried_l > 0
			? subtract(left, figure(carried_l, "l", "carriedOff"))
			: add(left, figure(puree_l, "l", "pureedBack"));
	return [working("toTheSauce", sum, "l")];
}

function fromVegetables({ waterFrom }: PlanLiquid): Working[] {
	if (waterFrom.length === 0) return [];
	const terms = waterFrom.map(({ name, kg, share }) =>
		multiply(figure(kg, "kg", `name:${name}`), figure(share, "share")),
	);
	return [working("fromVegetables", sumOf(terms), "l")];
}

/** Where the salt comes from, and what the liquid has of it when the meat is lifted. */
function saltWorkings({ salt, left_l, vegetables_kg, cooked_kg }: PlanLiquid): Working[] {
	if (salt.g === 0) return [];
	const from = salt.from.map(({ name, g }) => figure(g / 1000, "kg", `name:${name}`));
	const shared = add(
		figure(left_l, "l", "liquidLeft"),
		figure(vegetables_kg, "kg", "vegetables"),
		figure(cooked_kg, "kg", "meat"),
	);
	return [
		working("saltIn", sumOf(from), "kg"),
		working("saltWhenLifted", divide(figure(salt.g / 1000, "kg", "salt"), shared), "share"),
	];
}

/** The sauce wanted, what is taken for it, its mark, its minutes, its salt, and what would give it body instead. */
export function sauceWorkings(plan: WorkedPlan, kitchen: Kitchen): Working[] {
	const { recipe, chain, sauce, sauce_l } = plan;
	const finished = working(
		"finishedSauce",
		multiply(
			figure(chain.portions, "count", "portions"),
			figure(recipe.sauce_ml / 1000, "l", "aPortionOfSauce"),
		),
		"l",
	);
	if (!sauce || sauce_l === 0) return [finished];
	return [
		finished,
		...takenWorking(plan, sauce, kitchen),
		...markWorkings(plan, sauce, kitchen),
		...saltOfSauce(plan, sauce),
		...thickenerWorkings(plan),
		...sauceMinutes(plan),
	];
}

function takenWorking({ liquid }: WorkedPlan, sauce: PlanSauce, { policy }: Kitchen): Working[] {
	const { wanted_l, take_l, there_l, limitedBy, cardReduces } = sauce;
	if (!liquid || take_l < wanted_l) return [];
	const wanted = figure(wanted_l, "l", "sauce");
	const byCard = divide(wanted, lessShare(cardReduces, "boiledAway"));
	const about = { limitedBy: limitedBy ?? "" };
	if (limitedBy === "salt" && liquid.salt_pct > 0) {
		const most_kg = multiply(wanted, figure(policy.saltBand_pct.high / 100, "share", "mostSalt"));
		const { finish_g } = liquid.salt;
		const bySalt = divide(
			finish_g > 0 ? subtract(most_kg, figure(finish_g / 1000, "kg", "saltOfFinish")) : most_kg,
			figure(liquid.salt_pct / 100, "share", "saltWhenLifted"),
		);
		return [working("taken", least(most(bySalt, wanted), figure(there_l, "l", "thereIs")), "l", about)];
	}
	if (limitedBy === "time") {
		return [working("taken", add(wanted, figure(take_l - wanted_l, "l", "boilsAwayInTime")), "l", about)];
	}
	return [working("taken", least(byCard, figure(there_l, "l", "thereIs")), "l", about)];
}

function markWorkings({ sauce_l }: WorkedPlan, sauce: PlanSauce, { equipment }: Kitchen): Working[] {
	const { pot, pots, goes, wanted_l, take_l } = sauce;
	if (!pot || sauce_l === 0) return [];
	const area_m2 = floorArea(pot.shape) / 1e6;
	const about = { pot: pot.name, pots, goes };
	const fillings = [
		...(pots > 1 ? [figure(pots, "count", "pots")] : []),
		...(goes > 1 ? [figure(goes, "count", "goes")] : []),
	];
	const aPot = (litres: Sum): Sum => (fillings.length === 0 ? litres : divide(litres, ...fillings));
	const mark = working(
		"mark",
		divide(aPot(figure(wanted_l, "l", "sauce")), figure(area_m2, "number", "floorOfPot")),
		"mm",
		about,
	);
	const [first] = sauce.remedies;
	if (first?.kind !== "reduce") return [mark];
	const steam = aPot(subtract(figure(take_l, "l", "taken"), figure(wanted_l, "l", "sauce")));
	const byPower = divide(
		multiply(steam, figure(STEAM_KJ_PER_KG, "number", "kJ")),
		figure(pot.heat_kW ?? equipment.hobPower_kW, "number", "kW"),
		figure(60, "number", "secondsAMinute"),
	);
	const bySurface = multiply(
		divide(
			steam,
			figure(area_m2, "number", "floorOfPot"),
			figure(MOST_STEAM_KG_PER_M2_H, "number", "mmAnHour"),
		),
		figure(60, "number", "minutesAnHour"),
	);
	const aGo = first.limitedBy === "power" ? byPower : bySurface;
	const toReduce = working(
		"toReduce",
		goes > 1 ? multiply(aGo, figure(goes, "count", "goes")) : aGo,
		"min",
		about,
	);
	return [mark, toReduce, ...drawnWorkings(sauce)];
}

/** What boils down before the lift, so that the meat need not wait. */
function drawnWorkings({ drawn, take_l, wanted_l }: PlanSauce): Working[] {
	if (!drawn) return [];
	const all = figure(take_l - wanted_l, "l", "boilsAway");
	return [
		working(
			"drawnOff",
			divide(
				figure(drawn.boilsAway_l, "l", "boilsBefore"),
				figure(drawn.boilsAway_l / drawn.litres, "share", "ofItBoilsAway"),
			),
			"l",
			{ minutes: drawn.minutes },
		),
		working("boilsAfter", subtract(all, figure(drawn.boilsAway_l, "l", "boilsBefore")), "l"),
	];
}

function saltOfSauce({ liquid, salt_pct }: WorkedPlan, { take_l, wanted_l }: PlanSauce): Working[] {
	if (!liquid || salt_pct === null) return [];
	const reduced = divide(
		multiply(figure(liquid.salt_pct / 100, "share", "saltWhenLifted"), figure(take_l, "l", "taken")),
		figure(wanted_l, "l", "sauce"),
	);
	const { finish_g } = liquid.salt;
	const finish = divide(figure(finish_g / 1000, "kg", "saltOfFinish"), figure(wanted_l, "l", "sauce"));
	return [working("saltOfSauce", finish_g > 0 ? add(reduced, finish) : reduced, "share")];
}

/** What would give the sauce its body instead of reduction, less the flour that is in it already. */
function thickenerWorkings({ sauce_l, lines }: WorkedPlan): Working[] {
	const dredged_kg = dredgedFlour(lines) / 1000;
	const wanted = figure(sauce_l, "l", "sauce");
	const less = (perLitre_g: number, there_kg: number): Sum => {
		const all = multiply(wanted, figure(perLitre_g / 1000, "kg/l", "aLitre"));
		return there_kg > 0 ? most(subtract(all, figure(there_kg, "kg", "flourInIt")), figure(0, "kg")) : all;
	};
	const asStarch_kg = dredged_kg * (STARCH_G_PER_L / ROUX_FLOUR_G_PER_L);
	return [
		working("orStarch", less(STARCH_G_PER_L, asStarch_kg), "kg"),
		working("orRoux", less(ROUX_FLOUR_G_PER_L, dredged_kg), "kg"),
		working("orKneaded", less(KNEADED_FLOUR_G_PER_L, dredged_kg), "kg"),
	];
}

/** Minutes of the sauce: the hands' and the boiling, at least what the card's steps say. */
function sauceMinutes({ work, order }: WorkedPlan): Working[] {
	const { handsOn_min } = work.places.sauce;
	const boiling = add(
		divide(figure(handsOn_min, "min", "oneCook"), figure(order.hands, "count", "cooks")),
		figure(work.reduce_min, "min", "reducing"),
	);
	const steps: Figure = figure(work.places.sauce.wall_min, "min", "bySteps");
	return [working("sauceMinutes", most({ op: "wholeUp", of: [boiling] }, steps), "min")];
}
