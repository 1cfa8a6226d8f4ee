import { countBy, groupBy, sumBy } from "es-toolkit";
import { braise } from "#core/braise";
import type { DatesShown } from "../../app/ui/server/worked.server.ts";
import { minutesOf } from "./minutesOf.ts";

/** A task as its day has it. */
export interface TrueTask {
	readonly start: number;
	readonly end: number;
	/** Names of the ovens it stands in, and what they are set to, °C. */
	readonly ovens: readonly string[];
	readonly set_C: readonly number[];
	/** What a hot start is set to before that, °C. */
	readonly first_C?: number | undefined;
}

/** A dish as its day has it, by what a screen can show of it. */
export type TrueDish = Readonly<Record<string, number | string>>;

/** What the day says: every screen, paper and file is held against it. */
export interface Truth {
	readonly tasks: ReadonlyMap<string, TrueTask>;
	readonly dishes: ReadonlyMap<string, TrueDish>;
	/** Every oven of the kitchen, by name. */
	readonly ovens: readonly string[];
	readonly timeZone: string;
	/** What the day says and its own oven does not bear out. */
	readonly wrong: readonly string[];
}

/** The truth of some dates: from the placed day alone, its litres and minutes worked out again from the heat. */
export function truthOf({ day, all }: DatesShown, timeZone: string): Truth {
	const ovens = new Map(
		day.equipment.filter(({ kind }) => kind === "oven").map(({ id, name }) => [id, name]),
	);
	const hotStarts = new Map(
		all.flatMap(({ sittings }) =>
			sittings.flatMap(({ rows }) =>
				rows.map(({ dish, plan }) => [dish.id, plan?.recipe.braise.hotStart?.set_C]),
			),
		),
	);
	const tasks = new Map(
		day.tasks.map((task): [string, TrueTask] => {
			const uses = task.uses.filter(({ equipment }) => ovens.has(equipment));
			return [
				task.id,
				{
					start: task.start,
					end: task.end,
					ovens: uses.map(({ equipment }) => ovens.get(equipment) ?? ""),
					set_C: uses.flatMap(({ set_C }) => set_C ?? []),
					first_C: task.part === "oven" ? hotStarts.get(task.for) : undefined,
				},
			];
		}),
	);
	const wrong: string[] = [];
	const dishes = new Map(
		all.flatMap(({ sittings }) =>
			sittings.flatMap(({ rows }) =>
				rows.flatMap(({ dish, plan }): [string, TrueDish][] => {
					if (!plan) return [];
					wrong.push(...notBorneOut(plan, tasks));
					return [
						...linesOf(dish.id, plan),
						...pansOf(dish.id, plan),
						[dish.id, { ...figuresOf(plan), set: setOf(dish.id, day) }],
					];
				}),
			),
		),
	);
	return { tasks, dishes, ovens: [...ovens.values()], timeZone, wrong };
}

type Worked = NonNullable<DatesShown["all"][number]["sittings"][number]["rows"][number]["plan"]>;

/** What of a dish stands on many screens. */
function figuresOf({ chain, pans, liquid, pieces, sauce_l }: Worked): TrueDish {
	return {
		needed: chain.asPurchased_kg,
		trim: chain.asPurchased_kg - chain.trimmed_kg,
		cooked: chain.cooked_kg,
		ordered: chain.order_kg ?? chain.asPurchased_kg,
		trimmed: chain.trimmed_kg,
		poured: pans.pans.reduce((sum, { liquid_l }) => sum + liquid_l, 0),
		sauce: sauce_l,
		portions: chain.portions,
		pieces,
		pans: atOnce(pans.pans),
		...(liquid ? { left: liquid.left_l, steamed: liquid.evaporated_l } : {}),
	};
}

/** Pans of all kinds that are filled at once, of several fillings the most. */
function atOnce(pans: Worked["pans"]["pans"]): number {
	const kinds = Object.values(groupBy(pans, ({ type }) => type.id));
	return sumBy(kinds, (alike) => Math.max(...Object.values(countBy(alike, ({ go }) => go))));
}

/** What the ovens of a dish are set to, each once. */
function setOf(dish: string, { tasks }: DatesShown["day"]): string {
	const own = tasks.filter((task) => task.for === dish && task.figures.group !== undefined);
	const set = own.flatMap(({ uses }) => uses.flatMap(({ set_C }) => set_C ?? []));
	return [...new Set(set)].sort((a, b) => a - b).join(" ");
}

/** Each line of a dish as it is weighed, measured or counted, and on a portion: its weight over its portions. */
function linesOf(dish: string, { lines, chain }: Worked): [string, TrueDish][] {
	return lines.map(({ weigh_g, measure_ml, count, amount_g }, index) => [
		`${dish}#${index}`,
		{
			...(weigh_g === null ? {} : { lineKg: weigh_g / 1000 }),
			...(measure_ml === null ? {} : { lineLitres: measure_ml / 1000 }),
			...(count === null ? {} : { lineCount: count }),
			...(amount_g === null ? {} : { linePortion: amount_g / chain.portions / 1000 }),
		},
	]);
}

/** Each pan of a dish. */
function pansOf(dish: string, { pans }: Worked): [string, TrueDish][] {
	return pans.pans.map(({ pieces, liquid_l, lifted_kg }, index) => [
		`${dish} pan ${index}`,
		{ panPieces: pieces, panPoured: liquid_l, panCarried: lifted_kg },
	]);
}

/** Minutes that do not lie in what the heat of the placed oven gives, and litres that do not follow from it. */
function notBorneOut(
	plan: NonNullable<DatesShown["all"][number]["sittings"][number]["rows"][number]["plan"]>,
	tasks: Truth["tasks"],
): string[] {
	return (plan.braise?.groups ?? []).flatMap((group) => {
		const task = tasks.get(plan.tasks.find(({ figures }) => figures.group === group.id)?.id ?? "");
		if (!task || task.set_C.length === 0) return [];
		const set_C = task.set_C.at(-1) ?? Number.NaN;
		const named = `${plan.recipe.name}, ${group.pans.length} × ${group.type.name}`;
		const again = braise(minutesOf(group.given, set_C));
		const { forkTender } = again.marks;
		const given = (task.end - task.start) / 60_000;
		const said: string[] = [];
		if (group.set_C !== set_C)
			said.push(`${named}: said at ${group.set_C} °C, its oven is set to ${set_C} °C`);
		if (forkTender && task.set_C.length === 1 && (given < forkTender.low || given > forkTender.high * 1.5)) {
			said.push(`${named}: given ${given} min, tender from ${forkTender.low} to ${forkTender.high}`);
		}
		return said;
	});
}
