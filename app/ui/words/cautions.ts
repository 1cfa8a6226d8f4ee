import type { Plan } from "#core/plan";
import type { HouseCode } from "#core/safety";
import { durationWords } from "#core/time";
import type { Reading } from "./reading.ts";

/**
 * The cautions of a braise with their limits. They never say that food is safe: they
 * say which limit applies, and who decides.
 */
export function cautionsOf(plan: Plan, code: HouseCode, lift_kg: number, reading: Reading): string[] {
	const { recipe } = plan;
	const heaviest = Math.max(0, ...plan.pans.pans.map((pan) => pan.lifted_kg));
	const weight = `The heaviest pan is ${reading.mass(heaviest)} filled`;
	const limit = `the house limit of ${reading.mass(lift_kg)} for one`;
	const boned = (recipe.losses.boneShare ?? 0) > 0 || "piecesPerPortion" in recipe.portion;
	return [
		"The liquid goes in boiling and the pan slops when it moves. Open the lid away from you; the steam scalds.",
		heaviest > lift_kg
			? `${weight}, over ${limit}. Two carry, or pour at the oven.`
			: `${weight}, within ${limit}. Dry cloths, clear way, call out.`,
		...(recipe.sear
			? [
					"Dry the pieces before they meet the fat, and lay them in away from you. Smoke means lower the heat.",
				]
			: []),
		...(boned ? ["Cut bone leaves splinters. Wipe the pieces, and count out what was counted in."] : []),
		`House code “${code.name}”: hold at ${reading.temperature(code.holdHot_C)} or above until it is served.`,
		`What is left: cool ${coolingWords(code, reading)}; reheat ${reheatWords(code, reading)}. A deep pan cools too slowly: spread it shallow. The local authority and the licensed operator decide.`,
	];
}

/** "from 57 °C to 21 °C within 2 h and to 5 °C within 6 h" */
export function coolingWords({ cooling }: HouseCode, reading: Reading): string {
	const from = cooling.from_C === null ? "" : `from ${reading.temperature(cooling.from_C)} `;
	const steps = cooling.to.map(
		({ to_C, within_min }) => `to ${reading.temperature(to_C)} within ${durationWords(within_min)}`,
	);
	const standing =
		cooling.standing_min > 0 ? `, after at most ${durationWords(cooling.standing_min)} of standing` : "";
	return from + steps.join(" and ") + standing;
}

function reheatWords({ reheat }: HouseCode, reading: Reading): string {
	const within = reheat.within_min === null ? "without delay" : `within ${durationWords(reheat.within_min)}`;
	return `to a core of ${reading.temperature(reheat.core_C)} ${within}`;
}
