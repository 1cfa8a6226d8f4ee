import { readable, type UnitSystem } from "#core/quantity";

/** Weights, volumes and lengths as one reader reads them. */
export interface Measures {
	readonly units: UnitSystem;
	/** kg */
	mass(kg: number): string;
	/** litres */
	volume(l: number): string;
	length(mm: number): string;
	temperature(celsius: number): string;
}

export function measuresIn(units: UnitSystem): Measures {
	return {
		units,
		mass: (kg) => readable(kg * 1000, "mass", units),
		volume: (l) => readable(l * 1000, "volume", units),
		length: (mm) => readable(mm, "length", units),
		temperature: (celsius) => readable(celsius, "temperature", units),
	};
}
