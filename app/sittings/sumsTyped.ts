import { fits, Refusal } from "#core/check";
import { readNumber } from "#core/quantity";
import {
	type GuestSizes,
	portionsAGuest,
	readUptake,
	SittingEntry,
	sharedOut,
	type UptakeRead,
} from "#core/sitting";
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
	const typed = numberIn(form, "covers");
	const covers = typed !== null && fits(SittingEntry.properties.covers, typed) ? typed : null;
	const dishes = form.getAll("dish").map((id) => dishIn(form, String(id), covers ?? 0));
	const shared = sharedOut(covers ?? 1, dishes);
	const perGuest = covers === null ? 1 : portionsAGuest(covers, guestsIn(form));
	const portions = Object.fromEntries(
		shared.flatMap(({ id, uptake, spare }) =>
			covers === null || uptake <= 0 || uptake > 1
				? []
				: [[id, portionsWanted({ covers, uptake, spare: spare / 100, perGuest })]],
		),
	);
	const taken = shared.reduce((sum, { uptake }) => sum + uptake * 100, 0);
	return { taken: Math.round(taken), portions };
}

/** What cannot be read is taken by nobody, and more than all is shown for what it is. */
function dishIn(form: FormData, id: string, covers: number): UptakeRead & { id: string; spare: number } {
	const spare = numberIn(form, `spare.${id}`) ?? 0;
	try {
		return { id, spare, ...readUptake(String(form.get(`uptake.${id}`) ?? ""), covers) };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { id, spare, uptake: (numberIn(form, `uptake.${id}`) ?? 0) / 100, share: null };
	}
}

function guestsIn(form: FormData): GuestSizes {
	const [half, oneAndHalf, seconds] = ["half", "oneAndHalf", "seconds"].map(
		(name) => numberIn(form, name) ?? 0,
	);
	return { half: half ?? 0, oneAndHalf: oneAndHalf ?? 0, seconds: (seconds ?? 0) / 100 };
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
