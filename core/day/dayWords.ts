import { clockWords, durationWords, type WallRead } from "../time/index.ts";
import { PLACE_WORDS } from "../trade/index.ts";
import type { Day, DayEquipment, DayTask, Unmet } from "./Day.ts";

/** "Lift", "Chill": what a task of a place is called, where the place alone does not say. */
const PART_WORDS: Readonly<Partial<Record<DayTask["part"], string>>> = {
	order: "Order",
	marinade: "Marinate",
	colour: "Sear",
	late: "Add",
	lift: "Lift",
	rest: "Rest",
	hold: "Hold hot",
	pack: "Pack",
	carry: "Carry",
	keep: "Keep cold",
	make: "Make",
	soak: "Soak",
	finish: "Finish",
};

/** "Braise: Goat shoulder" */
export function taskName({ part, place, forName, figures }: Omit<DayTask, "start" | "end">): string {
	const verb = PART_WORDS[part] ?? (place === "make" ? "Make" : PLACE_WORDS[place]);
	const what = part === "late" ? `${figures.ingredient}, ${forName}` : forName;
	const go = figures.goes === undefined ? "" : `, go ${figures.go} of ${figures.goes}`;
	return `${verb}: ${what}${go}`;
}

/** What stands in or on a place that is too small: "12 l", "1 pan". */
const STANDS_ON: Readonly<Partial<Record<DayEquipment["kind"], (short: number) => string>>> = {
	fridge: (litres) => `${litres} l`,
	chiller: (pans) => `${pans} ${pans === 1 ? "pan" : "pans"}`,
	burner: (burners) => `${burners} ${burners === 1 ? "burner" : "burners"}`,
	box: (boxes) => `${boxes} ${boxes === 1 ? "box" : "boxes"}`,
	warmer: (plates) => `${plates} ${plates === 1 ? "plate" : "plates"}`,
};

/** Why a task goes without something, and what would free it. */
export interface UnmetWords {
	readonly because: string;
	readonly frees: string;
}

/** A sentence each. @param wall the clock of the house, as its reader reads it */
export function unmetWords(unmet: Unmet, { tasks, equipment }: Day, wall: string | WallRead): UnmetWords {
	const task = tasks.find(({ id }) => id === unmet.task);
	const now = task?.start ?? 0;
	const clock = (at: number) => clockWords(at, wall, now);
	switch (unmet.because) {
		case "tooFew": {
			const thing = equipment.find(({ id }) => id === unmet.equipment);
			const name = thing?.name ?? unmet.equipment;
			const short = Math.ceil(unmet.short);
			const from = `${clock(unmet.from)} to ${clock(unmet.to)}`;
			const stands = thing && STANDS_ON[thing.kind]?.(short);
			return {
				because: stands
					? `${name}: ${stands} more than there is room for, ${from}`
					: `${name}: ${short} more than there ${short === 1 ? "is" : "are"}, ${from}`,
				frees: stands ? `${stands} more, ${from}` : `borrow ${short} ${name}, ${from}`,
			};
		}
		case "nobody": {
			const from = `${clock(unmet.from)} to ${clock(unmet.to)}`;
			const cooks = unmet.short === 1 ? "one cook" : `${unmet.short} cooks`;
			return {
				because: `${cooks} too few, ${from}`,
				frees: `${cooks} more, ${from}, or the dish made the day before`,
			};
		}
		case "noOven":
			return {
				because: "no oven takes its pans at a temperature that suits it",
				frees: `${unmet.rungs} more rungs in one oven, or smaller pans`,
			};
		case "noPan":
			return withoutPanWords(unmet, equipment);
		case "late":
			return {
				because: `it is over ${durationWords(unmet.minutes)} late`,
				frees: `start it ${durationWords(unmet.minutes)} sooner, or make it the day before`,
			};
		case "tooLateFor": {
			const next = tasks.find(({ id }) => id === unmet.next);
			const name = next ? taskName(next) : unmet.next;
			return {
				because: `it is over ${durationWords(unmet.minutes)} after “${name}” is set to begin`,
				frees: `begin “${name}” ${durationWords(unmet.minutes)} later`,
			};
		}
		case "waitsTooLong":
			return {
				because: `what is before it stands ${durationWords(unmet.minutes)} longer than it may`,
				frees: "start what is before it later",
			};
	}
}

function withoutPanWords(
	{ pieces, laid, portions, pans }: Extract<Unmet, { readonly because: "noPan" }>,
	equipment: Day["equipment"],
): UnmetWords {
	const pan = equipment.find(({ id }) => id === pans.typeId)?.name ?? pans.typeId;
	return {
		because: `${pieces} of ${pieces + laid} pieces have no pan: ${portions} portions are in no figure`,
		frees: `borrow ${pans.count} ${pan}, or cook less`,
	};
}
