import { wallClock } from "#core/time";

/**
 * Every number that a dish, its card, its sitting and its house have, by what it is measured in.
 * A number on a page that says nothing of itself has to be one of them: what a page works out by
 * itself is none, and is found.
 */
export class Said {
	/** Sorted, in kg, l, mm, minutes and °C; counts as they are. */
	readonly #values: { readonly [M in Measure]: Set<number> } = {
		kg: new Set(),
		l: new Set(),
		mm: new Set(),
		min: new Set(),
		"°C": new Set(),
		"g/l": new Set(),
		count: new Set(),
		instant: new Set(),
	};
	#clocks: Set<string> | undefined;
	/** Clocks that somebody wrote. */
	readonly #written = new Set<string>();
	#sorted: Partial<Record<Measure, Float64Array>> = {};

	/** Takes in all numbers of something that was reckoned or stored, each by the unit in its name. */
	add(value: unknown, name = ""): this {
		if (typeof value === "number") this.#note(value, name);
		else if (value instanceof Map) for (const [key, one] of value) this.add(one, String(key));
		else if (Array.isArray(value)) this.#addAll(value, name);
		else if (typeof value === "object" && value !== null) this.#addFields(value, name);
		return this;
	}

	/** Takes in the numbers with a unit that stand in words which somebody wrote. */
	addWords(text: string): this {
		for (const { words, measure, value } of numbersIn(text)) {
			if (measure === "clock") this.#written.add(words);
			else this.#put(measure, value);
		}
		return this;
	}

	/** Whether it is an instant of these at which a clock of the house shows so. */
	hasClock(clock: string, timeZone: string): boolean {
		this.#clocks ??= new Set([...this.#values.instant].map((at) => wallClock(at, timeZone).time));
		return this.#written.has(clock) || this.#clocks.has(clock.padStart(5, "0"));
	}

	/** Whether a number as it is written is one of these, to the digits it is written with. */
	has(measure: Measure, written: number, step: number): boolean {
		this.#sorted[measure] ??= Float64Array.from(this.#values[measure]).sort();
		const sorted = this.#sorted[measure] ?? new Float64Array();
		const [from, to] = [written - step, written + step];
		let [low, high] = [0, sorted.length];
		while (low < high) {
			const middle = (low + high) >> 1;
			if ((sorted[middle] ?? 0) < from) low = middle + 1;
			else high = middle;
		}
		return (sorted[low] ?? Number.POSITIVE_INFINITY) <= to;
	}

	#note(value: number, name: string): void {
		if (!Number.isFinite(value)) return;
		if (value > INSTANTS_FROM) this.#put("instant", value);
		const unit = NAMED[name] ?? UNIT_OF.exec(name)?.[1];
		const known = unit === undefined ? undefined : UNITS[unit];
		if (known) this.#put(known.measure, value * known.times);
		else this.#put("count", value);
	}

	#put(measure: Measure, value: number): void {
		this.#values[measure].add(value);
		if (measure === "instant") this.#clocks = undefined;
		delete this.#sorted[measure];
	}

	#addAll(list: readonly unknown[], name: string): void {
		// A course of a simulation is drawn, and no figure of it is told.
		if (list.length > LONGEST_LIST && typeof list[0] === "number") return;
		for (const one of list) this.add(one, name);
	}

	#addFields(fields: object, name: string): void {
		const { value, unit } = fields as { readonly value?: unknown; readonly unit?: unknown };
		if (typeof value === "number" && typeof unit === "string")
			this.#note(value, `_${unit === "°C" ? "C" : unit}`);
		// A range is named once, for all of its figures.
		for (const [key, one] of Object.entries(fields))
			this.add(one, UNIT_OF.test(key) || key in NAMED ? key : name);
	}
}

/** What a number is measured in. */
export type Measure = "kg" | "l" | "mm" | "min" | "°C" | "g/l" | "count" | "instant";

const UNIT_OF = /(?:^|_)(g_per_l|kg|g|l|ml|mm|min|h|C)$/;
/** Fields that are measured in something without saying so. */
const NAMED: Readonly<Record<string, string>> = { minutes: "min", took: "min", litres: "l" };
const INSTANTS_FROM = 1e12;
const LONGEST_LIST = 60;

const UNITS: Readonly<Record<string, { readonly measure: Measure; readonly times: number }>> = {
	kg: { measure: "kg", times: 1 },
	g: { measure: "kg", times: 0.001 },
	l: { measure: "l", times: 1 },
	ml: { measure: "l", times: 0.001 },
	mm: { measure: "mm", times: 1 },
	min: { measure: "min", times: 1 },
	h: { measure: "min", times: 60 },
	C: { measure: "°C", times: 1 },
	"g/l": { measure: "g/l", times: 1 },
	g_per_l: { measure: "g/l", times: 1 },
};

/** A number with a unit of the trade, some minutes over some hours, or a clock. */
const MEASURED =
	/(\d+) h (\d+)(?: min)?|(\d[\d,]*(?:\.\d+)?)[\s\u00a0]*(g\/l|kg|g|l|ml|°C|mm|min|h|portions?|pieces?|pans?)(?![\p{L}\d])|\b(\d{1,2}:\d{2})\b/gu;

interface Written {
	readonly words: string;
	readonly measure: Measure | "clock";
	readonly value: number;
	/** So far it may be off, for the digits it is written with and what a scale rounds. */
	readonly within: number;
}

/** What a scale, a jug or a clock by five minutes rounds off, as a share. */
const ROUNDED = 0.02;

function numbersIn(text: string): Written[] {
	return [...text.matchAll(MEASURED)].map((match): Written => {
		const [words, hours, minutes, number = "", unit = "", clock] = match;
		if (clock !== undefined) return { words, measure: "clock", value: 0, within: 0 };
		if (hours !== undefined) {
			return { words, measure: "min", value: Number(hours) * 60 + Number(minutes), within: 2.5 };
		}
		const written = Number(number.replaceAll(",", ""));
		const digit = 10 ** -(number.split(".")[1]?.length ?? 0);
		const known = UNITS[unit.replace("°", "")];
		if (!known) return { words, measure: "count", value: written, within: 1e-9 };
		const value = written * known.times;
		return {
			words,
			measure: known.measure,
			value,
			within: Math.max(0.5 * digit * known.times, ROUNDED * value),
		};
	});
}

/** Numbers of a text that are none of those that are said. */
export function notSaidIn(text: string, said: Said, timeZone: string): string[] {
	return numbersIn(text)
		.filter(({ words, measure, value, within }) =>
			measure === "clock" ? !said.hasClock(words, timeZone) : !said.has(measure, value, within),
		)
		.map(({ words }) => words);
}
