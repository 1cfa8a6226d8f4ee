import type { Kitchen } from "../../kitchen/index.ts";
import { COLOUR_MIN, COLOUR_RECOVERY_MIN, TRAY_HANDS_MIN } from "../../sear/index.ts";
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
import type { WorkedPlan } from "./WorkedPlan.ts";

/** Loads or trays, their minutes and their fat, by the way that is taken. */
export function colourWorkings(plan: WorkedPlan, kitchen: Kitchen): Working[] {
	if (plan.colour?.way === "oven") return trayWorkings(plan);
	return loadWorkings(plan, kitchen);
}

function loadWorkings({ colour, recipe, pieces }: WorkedPlan, { equipment }: Kitchen): Working[] {
	const pan = colour?.pan;
	const { sear } = recipe;
	if (!pan || !sear || !equipment.searPan) return [];
	const loads = figure(pan.loads, "count", "loads");
	const rounds = wholeUp(divide(loads, figure(equipment.burners, "count", "burners")));
	const aRound: Sum = add(
		multiply(figure(sear.sides, "count", "sides"), figure(sear.minutesPerSide, "min", "aSide")),
		figure(sear.recovery_min, "min", "toHeatAgain"),
	);
	return [
		working(
			"loads",
			wholeUp(divide(figure(pieces, "count", "pieces"), figure(pan.perLoad, "count", "aLoad"))),
			"count",
			{ pan: equipment.searPan.name, gap_mm: sear.gap_mm },
		),
		working("searMinutes", multiply(rounds, aRound), "min"),
		working("searFat", multiply(loads, figure(pan.fat_g / 1000 / pan.loads, "kg", "aFilm")), "kg"),
	];
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
		working("searFat", multiply(trays, figure(oven.fat_g / 1000 / oven.trays, "kg", "aFilmOnTray")), "kg"),
	];
}
