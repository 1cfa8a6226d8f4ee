import { TZDate } from "@date-fns/tz";
import { type Static, Type } from "@sinclair/typebox";
import { formatISO } from "date-fns";
import { sumBy } from "es-toolkit";
import type { HousePolicy } from "../kitchen/index.ts";
import type { TaskPart } from "../tasks/index.ts";
import { certificateOf } from "./certificateOf.ts";
import type { DayEquipment, EquipmentKind, Unmet } from "./Day.ts";
import { taskName, unmetWords } from "./dayWords.ts";
import { BENCH, foodOf, PLATES } from "./foodOf.ts";
import type { WorkedDay } from "./WorkedDay.ts";

const Instant = Type.String({ description: "ISO 8601 with offset" });
const Amount = Type.Number({ minimum: 0 });
const Minutes = Type.Number({ minimum: 0 });

/** The day as other programs read it. @see docs/formats/day.md */
export const DayFile = Type.Object(
	{
		from: Type.String({ description: "First day, of the house's calendar" }),
		to: Type.String({ description: "Last day, included" }),
		timeZone: Type.String(),
		equipment: Type.Array(
			Type.Object({
				id: Type.String(),
				kind: Type.Union(
					(
						[
							"oven",
							"burner",
							"pot",
							"searPan",
							"pan",
							"tray",
							"chiller",
							"fridge",
							"warmer",
							"box",
							"bench",
							"plate",
							"cook",
						] as const
					).map((kind) => Type.Literal(kind)),
				),
				name: Type.String(),
				capacity: Amount,
				unit: Type.Union([Type.Literal("rung"), Type.Literal("piece"), Type.Literal("litre")]),
				windows: Type.Array(Type.Tuple([Instant, Instant])),
				min_C: Type.Optional(Type.Number()),
				max_C: Type.Optional(Type.Number()),
			}),
		),
		tasks: Type.Array(
			Type.Object({
				id: Type.String(),
				for: Type.String({ description: "Dish or preparation" }),
				sitting: Type.String(),
				place: Type.String({ description: "Place of the long table, or make" }),
				operation: Type.String({ description: "What is done there" }),
				name: Type.String(),
				start: Instant,
				end: Instant,
				due: Type.Union([Instant, Type.Null()]),
				fixed: Type.Boolean({ description: "Done, running or pinned: not moved" }),
				uses: Type.Array(
					Type.Object({
						equipment: Type.String(),
						amount: Amount,
						from: Instant,
						to: Instant,
						set_C: Type.Optional(Type.Number()),
					}),
				),
				after: Type.Array(
					Type.Object({
						task: Type.String(),
						least_min: Minutes,
						most_min: Type.Union([Minutes, Type.Null()]),
					}),
				),
			}),
		),
		late_min: Minutes,
		waiting_rung_min: Minutes,
		bound_waiting_rung_min: Minutes,
		food: Type.Array(
			Type.Object({
				for: Type.String({ description: "Dish" }),
				kg: Amount,
				at: Type.String({ description: "Equipment" }),
				C: Type.Number(),
				from: Instant,
				to: Instant,
			}),
		),
		unmet: Type.Array(
			Type.Object({
				task: Type.String(),
				because: Type.String(),
				short: Amount,
				frees: Type.String(),
				certificate: Type.String({ description: "What is asked against what there is" }),
			}),
		),
	},
	{ $id: "day", title: "The day" },
);
export type DayFile = Static<typeof DayFile>;

/**
 * A placed day as its file says it.
 *
 * @param from first day, "2026-12-04"
 * @param to   last day, included
 */
export function dayJson(
	day: WorkedDay,
	from: string,
	to: string,
	policy: Pick<HousePolicy, "timeZone" | "hours" | "code">,
): DayFile {
	const { timeZone } = policy;
	const instant = (at: number) => formatISO(new TZDate(at, timeZone));
	return {
		from,
		to,
		timeZone,
		equipment: [...day.equipment, ...surfacesOf(day)].map(({ windows, ...thing }) => ({
			...thing,
			windows: windows.map(([opens, closes]): [string, string] => [instant(opens), instant(closes)]),
		})),
		tasks: day.tasks.map((task) => ({
			id: task.id,
			for: task.for,
			sitting: task.sitting,
			place: task.place,
			operation: OPERATIONS[task.part] ?? task.place,
			name: taskName(task),
			start: instant(task.start),
			end: instant(task.end),
			due: task.due === null ? null : instant(task.due),
			fixed: task.fixed,
			uses: task.uses.map((use) => ({ ...use, from: instant(use.from), to: instant(use.to) })),
			after: task.after.map((before) => ({ ...before })),
		})),
		late_min: day.late_min,
		waiting_rung_min: day.waiting_rung_min,
		bound_waiting_rung_min: day.bound_waiting_rung_min,
		food: foodOf(day, policy).map(({ from: begins, to: ends, ...stands }) => ({
			...stands,
			from: instant(begins),
			to: instant(ends),
		})),
		unmet: day.unmet.map((unmet) => ({
			task: unmet.task,
			short: shortBy(unmet),
			certificate: certificateOf(unmet, day, timeZone),
			...unmetWords(unmet, day, timeZone),
		})),
	};
}

/** What is done, where the place alone does not say it. */
const OPERATIONS: Partial<Readonly<Record<TaskPart, string>>> = {
	order: "order",
	marinade: "marinate",
	colour: "sear",
	oven: "braise",
	late: "add",
	lift: "lift",
	rest: "rest",
	hold: "hold",
	chill: "chill",
	keep: "keep",
	reheat: "reheat",
	pack: "pack",
	carry: "carry",
	soak: "soak",
	make: "make",
	finish: "finish",
};

/** By how much it falls short, in the unit of what is missing: pieces, people, rungs, or minutes. */
function shortBy(unmet: Unmet): number {
	if ("short" in unmet) return unmet.short;
	if (unmet.because === "noPan") return unmet.pieces;
	return unmet.because === "noOven" ? unmet.rungs : unmet.minutes;
}

/** The bench and the plates, which nobody counts: so many stand on them as there are pans and portions. */
function surfacesOf({ from, to, equipment, dishes }: WorkedDay): DayEquipment[] {
	const pans = sumBy(equipment, ({ kind, capacity }) => (kind === "pan" || kind === "tray" ? capacity : 0));
	const portions = sumBy([...dishes.values()], ({ chain }) => chain.portions);
	const surface = (id: string, kind: EquipmentKind, name: string, capacity: number): DayEquipment => ({
		...{ id, kind, name, capacity, unit: "piece", windows: [[from, to]] },
	});
	return [surface(BENCH, "bench", "Bench", pans), surface(PLATES, "plate", "Plates", portions)];
}
