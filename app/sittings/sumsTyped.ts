import { fits, Refusal } from "#core/check";
import { readNumber } from "#core/quantity";
import { SittingEntry } from "#core/sitting";
import { portionsWanted } from "#core/yields";

/** What the dishes of a sitting come to as they are typed. */
export interface TypedSums {
	/** Share of the covers that the dishes together are taken by, %. */
	readonly taken: number;
	/** Portions of each dish by its id; none where something typed can not be read. */
	readonly portions: Readonly<Record<string, number>>;
}

/** Adds up what stands in the fields of a sitting at this moment. */
export function sumsTyped(form: FormData): TypedSums {
	const covers = numberIn(form, "covers");
	const portions: Record<string, number> = {};
	let taken = 0;
	for (const dish of form.getAll("dish").map(String)) {
		const uptake = numberIn(form, `uptake.${dish}`);
		const spare = numberIn(form, `spare.${dish}`) ?? 0;
		if (uptake === null) continue;
		taken += uptake;
		if (covers === null || !fits(SittingEntry.properties.covers, covers) || uptake > 100) continue;
		portions[dish] = portionsWanted({ covers, uptake: uptake / 100, spare: spare / 100 });
	}
	return { taken: Math.round(taken), portions };
}

function numberIn(form: FormData, name: string): number | null {
	try {
		const read = readNumber(String(form.get(name) ?? "").trim(), name);
		return read === undefined || read < 0 ? null : read;
	} catch (error) {
		if (error instanceof Refusal) return null;
		throw error;
	}
}
