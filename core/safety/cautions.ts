import type { HouseCode } from "./houseCodes.ts";

export interface Caution {
	readonly about: "scald" | "lift" | "hotFat" | "fingers" | "cooling" | "holding";
	readonly text: string;
}

/** What a day's work brings with it. Masses kg. */
export interface Hazards {
	readonly heaviestPan_kg: number;
	readonly liftLimit_kg: number;
	readonly seared: boolean;
	readonly bone: boolean;
}

/**
 * The cautions of a braise, plain and with their limits. They never say that food is
 * safe: they say which limit applies and who decides.
 */
export function cautionsFor(hazards: Hazards, code: HouseCode): Caution[] {
	const heavy = hazards.heaviestPan_kg > hazards.liftLimit_kg;
	const weight = `${hazards.heaviestPan_kg.toFixed(1)} kg filled`;
	const cautions: (Caution | false)[] = [
		{
			about: "scald",
			text: "The liquid goes in boiling and the pan slops when it moves. Open the lid away from you; the steam scalds.",
		},
		{
			about: "lift",
			text: heavy
				? `The heaviest pan is ${weight}, over the house limit of ${hazards.liftLimit_kg} kg for one. Two carry, or pour at the oven.`
				: `The heaviest pan is ${weight}, within the house limit of ${hazards.liftLimit_kg} kg for one. Dry cloths, clear way, call out.`,
		},
		hazards.seared && {
			about: "hotFat",
			text: "Dry the pieces before they meet the fat, and lay them in away from you. Smoke means lower the heat.",
		},
		hazards.bone && {
			about: "fingers",
			text: "Cut bone leaves splinters. Wipe the pieces, and count in and out what must not reach a plate.",
		},
		{
			about: "holding",
			text: `House code “${code.name}”: hold at ${code.holdHot_C} °C or above until it is served.`,
		},
		{
			about: "cooling",
			text: `What is left: ${code.cooling}; reheat ${code.reheat}. A deep pan cools too slowly: spread it shallow. The local authority and the licensed operator decide.`,
		},
	];
	return cautions.filter((caution) => caution !== false);
}
