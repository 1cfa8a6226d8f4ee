import { type Static, Type } from "@sinclair/typebox";
import { Celsius, checked, type Problem, Refusal, refuse } from "../../check/index.ts";
import type { DayOven, OvenBatch, OvenDay } from "./OvenDay.ts";

/** A fortnight: nothing is planned further ahead. */
const LONGEST_MIN = 14 * 24 * 60;
const MOST_OVENS = 40;
const MOST_BATCHES = 200;
const MOST_OPTIONS = 12;
const MOST_SHELVES = 100;

const Id = Type.String({ minLength: 1, maxLength: 100, allowed: "a name of 1 to 100 characters" });
const Shelves = Type.Integer({
	minimum: 1,
	maximum: MOST_SHELVES,
	allowed: `a whole number of shelves from 1 to ${MOST_SHELVES}`,
});
const Lasts = Type.Number({
	exclusiveMinimum: 0,
	maximum: 4320,
	allowed: "minutes above 0 and up to 4,320 (three days)",
});
const Minute = Type.Number({
	minimum: 0,
	maximum: LONGEST_MIN,
	allowed: "minutes from 0 to 20,160 (fourteen days)",
});

const Batch = Type.Object({
	id: Id,
	shelves: Shelves,
	minutes: Type.Optional(Lasts),
	temp_C: Type.Optional(
		Type.Array(Celsius, { minItems: 2, maxItems: 2, allowed: "the lowest and the highest, in °C" }),
	),
	options: Type.Optional(
		Type.Array(Type.Object({ set_C: Celsius, minutes: Lasts }), {
			minItems: 1,
			maxItems: MOST_OPTIONS,
			allowed: `1 to ${MOST_OPTIONS} settings, each with set_C and minutes`,
		}),
	),
	readyBy_min: Minute,
	notBefore_min: Type.Optional(Minute),
});

const OvenDayGiven = Type.Object({
	step_min: Type.Integer({ minimum: 1, maximum: 240, allowed: "a whole number of minutes from 1 to 240" }),
	ovens: Type.Array(Type.Object({ id: Id, shelves: Shelves, min_C: Celsius, max_C: Celsius }), {
		minItems: 1,
		maxItems: MOST_OVENS,
		allowed: `1 to ${MOST_OVENS} ovens`,
	}),
	batches: Type.Array(Batch, { maxItems: MOST_BATCHES, allowed: `up to ${MOST_BATCHES} batches` }),
});

/**
 * Ovens and batches as they are asked from outside.
 *
 * @throws {Refusal} naming the field, or the batch that no oven takes
 */
export function checkedOvenDay(given: unknown): OvenDay {
	const { step_min, ovens, batches } = checked(OvenDayGiven, given);
	const problems = [...twice("ovens", ovens), ...twice("batches", batches), ...ovens.flatMap(turned)];
	if (problems.length > 0) throw new Refusal(problems);
	const day = { step_min, ovens, batches: batches.map(batchOf) };
	for (const [index, batch] of day.batches.entries()) {
		if (ovens.some((oven) => takes(oven, batch))) continue;
		const most = Math.max(...ovens.map(({ shelves }) => shelves));
		throw refuse(
			`batches[${index}]`,
			batch.shelves > most
				? `${batch.id} needs ${batch.shelves} shelves; the largest oven has ${most}`
				: `${batch.id} needs ${batch.shelves} shelves at a temperature that no such oven reaches`,
		);
	}
	return day;
}

function batchOf(batch: Static<typeof Batch>, index: number): OvenBatch {
	const { id, shelves, readyBy_min, notBefore_min = 0 } = batch;
	return { id, shelves, readyBy_min, notBefore_min, ways: waysOf(batch, index) };
}

function waysOf({ minutes, temp_C, options }: Static<typeof Batch>, index: number): OvenBatch["ways"] {
	if (options) {
		if (minutes !== undefined || temp_C !== undefined) {
			throw refuse(
				`batches[${index}]`,
				"options stand in place of minutes and temp_C; only one of the two is allowed",
			);
		}
		return options.map(({ set_C, minutes }) => ({ minutes, low_C: set_C, high_C: set_C }));
	}
	if (minutes === undefined) throw refuse(`batches[${index}].minutes`, "minutes or options are needed");
	const [low_C, high_C] = temp_C ?? [];
	if (low_C === undefined || high_C === undefined) {
		throw refuse(`batches[${index}].temp_C`, "temp_C or options are needed");
	}
	if (low_C > high_C) {
		throw refuse(
			`batches[${index}].temp_C`,
			`${low_C} °C to ${high_C} °C was given; the lower one first is allowed`,
		);
	}
	return [{ minutes, low_C, high_C }];
}

const takes = ({ shelves, min_C, max_C }: DayOven, batch: OvenBatch): boolean =>
	shelves >= batch.shelves && batch.ways.some(({ low_C, high_C }) => low_C <= max_C && high_C >= min_C);

function twice(list: string, items: readonly { readonly id: string }[]): Problem[] {
	return items.flatMap(({ id }, index) =>
		items.findIndex((other) => other.id === id) === index
			? []
			: [
					{
						field: `${list}[${index}].id`,
						message: `“${id}” stands there twice; each needs a name of its own`,
					},
				],
	);
}

function turned({ id, min_C, max_C }: DayOven, index: number): Problem[] {
	if (min_C <= max_C) return [];
	const field = `ovens[${index}].min_C`;
	return [
		{ field, message: `${id} reaches from ${min_C} °C to ${max_C} °C; the lower one first is allowed` },
	];
}
