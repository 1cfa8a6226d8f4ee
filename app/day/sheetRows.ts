import { sumBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { type Day, type DayEquipment, type DayTask, taskName, type Use } from "#core/day";
import { countByType, ordered_kg, shareInGo } from "#core/dish";
import { type Kitchen, saucePotsOf } from "#core/kitchen";
import { counted, type Reading } from "../ui/words/reading.ts";

export interface SheetRow {
	readonly id: string;
	/** When it begins, ms since 1970 UTC. */
	readonly from: number;
	readonly day: string;
	readonly clock: string;
	readonly until: string;
	readonly what: string;
	readonly dish: string;
	/** Its letter of the day; empty where it has none. */
	readonly tag: string;
	/** "26.7 kg", "92 portions" */
	readonly amount: string;
	readonly where: string;
	/** What to look for. */
	readonly check: string;
}

/** What a list of tasks is told from. */
export interface RowGiven {
	readonly day: Day;
	readonly kitchen: Kitchen;
	readonly reading: Reading;
	/** By dish. */
	readonly plans: ReadonlyMap<string, WorkedDish>;
	/** Letters of the day, by dish. */
	readonly tags: ReadonlyMap<string, string>;
}

/** A task on a list; on a cook's own, with the minutes that it takes of that cook. */
export function rowOf(
	task: DayTask,
	{ day, kitchen, reading, plans, tags }: RowGiven,
	cook?: string,
): SheetRow[] {
	const own = cook === undefined ? undefined : task.uses.find(({ equipment }) => equipment === cook);
	if (cook !== undefined && !own) return [];
	const { from, to } = own ?? { from: task.start, to: task.end };
	return [
		{
			id: task.id,
			from,
			day: reading.day(from),
			clock: reading.time(from),
			until: to > from ? reading.time(to) : "",
			what: taskName(task).split(":")[0] ?? "",
			dish: taskName(task).split(": ").slice(1).join(": ") || task.forName,
			tag: tags.get(task.for) ?? "",
			amount: amountWords(task, plans.get(task.for), reading),
			where: whereWords(task.uses, day, kitchen, reading),
			check: checkWords(task, plans.get(task.for)),
		},
	];
}

/** How much of it: what comes to the table of each place; of one filling of the pans, where it is for one. */
function amountWords(
	{ place, part, figures }: DayTask,
	plan: WorkedDish | undefined,
	reading: Reading,
): string {
	if (!plan) return "";
	const { chain, pans, sauce_l } = plan;
	const share = figures.go === undefined ? 1 : shareInGo(pans, Number(figures.go));
	switch (place) {
		case "buy":
			return reading.mass(ordered_kg(chain));
		case "trim":
			return reading.mass(chain.asPurchased_kg);
		case "marinate":
		case "sear":
			return reading.mass(chain.trimmed_kg * share);
		case "braise":
		case "reheat":
			if (part === "oven") return "";
			return counted(
				sumBy(countByType(pans), ({ count }) => count),
				"pan",
			);
		case "sauce":
			return reading.volume(sauce_l);
		case "plate":
			return counted(chain.portions, "portion");
		default:
			return "";
	}
}

/** What the card says to look for, with the last step of its place. */
function checkWords({ place, part }: DayTask, plan: WorkedDish | undefined): string {
	if (part === "order" || part === "late" || part === "lift") return "";
	return plan?.recipe.steps.findLast((step) => step.place === place && step.check)?.check ?? "";
}

/** "North oven at 150 °C", "3 Wide pan, 3 burners" */
function whereWords(uses: readonly Use[], { equipment }: Day, kitchen: Kitchen, reading: Reading): string {
	const vessels = new Set(saucePotsOf(kitchen.equipment).map(({ id }) => id));
	return uses
		.flatMap((use) => {
			const thing = equipment.find((one) => one.id === use.equipment);
			if (!thing || thing.kind === "cook") return [];
			return [handWords(use, thing, reading, vessels.has(thing.id))];
		})
		.join(", ");
}

function handWords(
	{ amount, set_C }: Use,
	{ name, kind }: DayEquipment,
	reading: Reading,
	isVessel: boolean,
): string {
	if (set_C !== undefined) return `${name} at ${reading.temperature(set_C)}`;
	switch (kind) {
		case "burner":
			return counted(amount, "burner");
		case "box":
			return `${name}, ${counted(amount, "box", "boxes")}`;
		case "warmer":
			return `${name}, ${counted(amount, "plate")}`;
		case "chiller":
			return `${name}, ${counted(amount, "pan")}`;
		case "fridge":
			return `${name}, ${reading.volume(amount)}`;
		default:
			return amount === 1 && isVessel ? name : `${amount} × ${name}`;
	}
}
