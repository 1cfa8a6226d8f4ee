import {
	COLOUR_MIN,
	COLOUR_RECOVERY_MIN,
	HANDLING_S,
	type SearPlan,
	TRAY_HANDS_MIN,
} from "../../sear/index.ts";
import {
	add,
	divide,
	figure,
	multiply,
	type Sum,
	subtract,
	type Working,
	wholeUp,
	working,
} from "../../workings/index.ts";
import { searTaken } from "../planColour.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";

/** Loads or trays, their minutes and their fat, by the way that is taken. */
export function colourWorkings(plan: WorkedPlan): Working[] {
	return plan.colour?.way === "oven" ? trayWorkings(plan) : loadWorkings(plan);
}

function loadWorkings({ colour, recipe, pieces, chain }: WorkedPlan): Working[] {
	const pan = colour && searTaken(colour);
	const { sear } = recipe;
	if (!pan || !sear) return [];
	const loads = figure(pan.loads, "count", "loads");
	const rounds = wholeUp(divide(loads, figure(pan.burners, "count", "burners")));
	const aRound: Sum = add(
		multiply(figure(sear.sides, "count", "sides"), figure(sear.minutesPerSide, "min", "aSide")),
		figure(sear.recovery_min, "min", "toHeatAgain"),
		multiply(
			figure(Math.min(pieces, pan.perLoad), "count", "pieces"),
			figure(HANDLING_S / 60, "min", "toLayAndLift"),
		),
	);
	return [
		working(
			"loads",
			wholeUp(divide(figure(pieces, "count", "pieces"), figure(pan.perLoad, "count", "aLoad"))),
			"count",
			{ pan: pan.vessel.name, gap_mm: sear.gap_mm },
		),
		working("searMinutes", multiply(rounds, aRound), "min"),
		...fatWorkings(pan, colour.givenOff_kg, chain.trimmed_kg * (1 - (recipe.losses.boneShare ?? 0))),
	];
}

/** Films and toppings up; or what skin gives off itself. */
function fatWorkings(
	{ films, film_g, topUps, topUp_g, fat_g }: SearPlan,
	givenOff_kg: number,
	meat_kg: number,
): Working[] {
	if (fat_g === 0) {
		const share = figure(givenOff_kg / meat_kg, "share", "givenAtSearing");
		return givenOff_kg > 0
			? [working("fatPouredOff", multiply(figure(meat_kg, "kg", "rawMeat"), share), "kg")]
			: [];
	}
	const times = (count: number, grams: number, what: string) =>
		multiply(figure(count, "count", "times"), figure(grams / 1000, "kg", what));
	const film = times(films, film_g, "aFilm");
	return [working("searFat", topUps > 0 ? add(film, times(topUps, topUp_g, "toTopUp")) : film, "kg")];
}

function trayWorkings({ colour, pieces }: WorkedPlan): Working[] {
	const oven = colour?.oven;
	if (!oven) return [];
	const trays = figure(oven.trays, "count", "trays");
	const rounds = wholeUp(divide(trays, figure(oven.atOnce, "count", "atOnce")));
	return [
		working(
			"trays",
			wholeUp(divide(figure(pieces, "count", "pieces"), figure(oven.perTray, "count", "aTray"))),
			"count",
			{ tray: oven.tray.name },
		),
		working(
			"trayMinutes",
			add(
				multiply(rounds, figure(COLOUR_MIN, "min", "aFilling")),
				multiply(
					subtract(rounds, figure(1, "number")),
					figure(COLOUR_RECOVERY_MIN, "min", "betweenFillings"),
				),
			),
			"min",
			{ oven: oven.oven.name },
		),
		working("trayHands", multiply(trays, figure(TRAY_HANDS_MIN, "min", "aTrayByHand")), "min"),
	];
}
