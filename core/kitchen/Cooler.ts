/** Where food is cooled and kept cold. */
export interface Cooler {
	readonly id: string;
	readonly name: string;
	/** A chiller blows and takes so many pans; a fridge is still and takes so many litres. */
	readonly kind: "chiller" | "fridge";
	readonly capacity: number;
	/** How cold its air is, °C. */
	readonly air_C: number;
	/** Heat that it takes away, kW; null where nobody has read its plate. */
	readonly power_kW: number | null;
	/** Kilos that it cools from 90 to 3 °C in 90 min, in open pans 50 mm deep, by its plate; null where that says nothing. */
	readonly rated_kg: number | null;
}

/** How cold the air of a chiller and of a fridge usually is, °C. General practice. */
export const USUAL_AIR_C: Readonly<Record<Cooler["kind"], number>> = { chiller: -2, fridge: 3 };
