import { uniqBy } from "es-toolkit";
import type { PanType } from "../pans/index.ts";
import { onDay, type WorkingHours } from "../time/index.ts";
import type { Cook, DayEquipment, DayGiven, EquipmentKind } from "./Day.ts";
import { changesOf } from "./DayChange.ts";

/** All burners of the hob are alike and stand under one name. */
export const BURNERS = "burners";

/** Everything that tasks can take, with the times at which it can be had. */
export function equipmentOf(given: DayGiven, from: number, to: number): DayEquipment[] {
	const { equipment, policy } = given.kitchen;
	const always = [[from, to]] as const;
	const counted = (kind: EquipmentKind, types: readonly PanType[]): DayEquipment[] =>
		types.map(({ id, name, stock }) => ({ id, kind, name, capacity: stock, unit: "piece", windows: always }));
	const all: DayEquipment[] = [
		...equipment.ovens.map(
			({ id, name, rungs, min_C, max_C }): DayEquipment => ({
				id,
				kind: "oven",
				name,
				capacity: rungs,
				unit: "rung",
				windows: always,
				min_C,
				max_C,
			}),
		),
		{
			id: BURNERS,
			kind: "burner",
			name: "Burners",
			capacity: equipment.burners,
			unit: "piece",
			windows: always,
		},
		...counted("pan", equipment.pans),
		...counted("pot", [...equipment.pots, ...(equipment.cookers ?? [])]),
		...counted("searPan", equipment.searPans),
		...counted("tray", equipment.trays),
		...given.places.map(
			({ id, kind, name, capacity }): DayEquipment => ({
				id,
				kind,
				name,
				capacity,
				unit: kind === "fridge" ? "litre" : "piece",
				windows: always,
			}),
		),
		...cooksOf(given).map(
			({ id, name, hours }): DayEquipment => ({
				id,
				kind: "cook",
				name,
				capacity: 1,
				unit: "piece",
				windows: windowsOf(hours, from, to, policy.timeZone),
			}),
		),
		...helpersOf(given),
	];
	const away = changesOf(given.changes ?? [], "away");
	return uniqBy(all, ({ id }) => id).map((thing) => ({
		...thing,
		windows: away
			.filter(({ equipment: id }) => id === thing.id)
			.reduce((windows, { from: goes, to: comes }) => without(windows, goes, comes), thing.windows),
	}));
}

function helpersOf({ changes = [] }: DayGiven): DayEquipment[] {
	const hours = changesOf(changes, "helped").flatMap(({ count, from, to }) =>
		Array.from({ length: count }, () => [from, to] as const),
	);
	return hours.map((window, index) => ({
		id: `helper-${index + 1}`,
		kind: "cook",
		name: `Helper ${index + 1}`,
		capacity: 1,
		unit: "piece",
		windows: [window],
	}));
}

/** What is left of some windows when a stretch is cut out of them. */
function without(windows: DayEquipment["windows"], from: number, to: number): DayEquipment["windows"] {
	return windows.flatMap(([opens, closes]) => {
		const left: [number, number][] = [
			[opens, Math.min(closes, from)],
			[Math.max(opens, to), closes],
		];
		return left.filter(([start, end]) => end > start);
	});
}

/** Those who are named; else as many as the sittings ask for, in the house's hours. */
function cooksOf({ cooks, sittings, kitchen: { policy } }: DayGiven): readonly Cook[] {
	if (cooks.length > 0) return cooks;
	const most = Math.max(1, ...sittings.map(({ hands }) => hands));
	return Array.from({ length: most }, (_, index) => ({
		id: `cook-${index + 1}`,
		name: `Cook ${index + 1}`,
		hours: policy.hours,
	}));
}

/** Working hours of each day that a stretch touches, those that meet joined. */
function windowsOf(
	{ opens_min, closes_min }: WorkingHours,
	from: number,
	to: number,
	timeZone: string,
): (readonly [number, number])[] {
	const windows: [number, number][] = [];
	for (let day = -1; onDay(from, timeZone, 0, day) < to; day += 1) {
		const opens = onDay(from, timeZone, opens_min, day);
		const closes = onDay(from, timeZone, closes_min, day);
		const last = windows.at(-1);
		if (last && last[1] >= opens) last[1] = Math.max(last[1], closes);
		else windows.push([opens, closes]);
	}
	return windows.filter(([opens, closes]) => closes > from && opens < to);
}
