import { TZDate } from "@date-fns/tz";
import { type Static, Type } from "@sinclair/typebox";
import { formatISO } from "date-fns";
import type { Day } from "./Day.ts";
import { taskName, unmetWords } from "./dayWords.ts";

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
		unmet: Type.Array(Type.Object({ task: Type.String(), because: Type.String(), frees: Type.String() })),
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
export function dayJson(day: Day, from: string, to: string, timeZone: string): DayFile {
	const instant = (at: number) => formatISO(new TZDate(at, timeZone));
	return {
		from,
		to,
		timeZone,
		equipment: day.equipment.map(({ windows, ...thing }) => ({
			...thing,
			windows: windows.map(([opens, closes]): [string, string] => [instant(opens), instant(closes)]),
		})),
		tasks: day.tasks.map((task) => ({
			id: task.id,
			for: task.for,
			sitting: task.sitting,
			place: task.place,
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
		unmet: day.unmet.map((unmet) => ({ task: unmet.task, ...unmetWords(unmet, day, timeZone) })),
	};
}
