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
	/** As a probe reads, to the tenth: "34.2 °C". */
	probed(celsius: number): string;
	/** °C of a temperature that this reader typed. */
	celsiusOf(typed: number): number;
	/** "°C" or "°F" */
	readonly degrees: string;
}

export function measuresIn(units: UnitSystem): Measures {
	return {
		units,
		mass: (kg) => readable(kg * 1000, "mass", units),
		volume: (l) => readable(l * 1000, "volume", units),
		length: (mm) => readable(mm, "length", units),
		temperature: (celsius) => readable(celsius, "temperature", units),
		probed: (celsius) =>
			units === "us" ? `${(celsius * 1.8 + 32).toFixed(1)} °F` : `${celsius.toFixed(1)} °C`,
		celsiusOf: (typed) => (units === "us" ? (typed - 32) / 1.8 : typed),
		degrees: units === "us" ? "°F" : "°C",
	};
}
