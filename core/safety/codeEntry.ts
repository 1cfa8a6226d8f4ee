import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse } from "../check/index.ts";
import { CODE_CLOCKS, type HouseCode, USUAL_COMING_UP_MIN, USUAL_LIFE } from "./houseCodes.ts";
import { KILL_TABLE_KEYS } from "./killTables.ts";
import { celsiusOf, DEGREE_UNITS, type DegreeUnit, fahrenheitOf } from "./ruleDegrees.ts";

/** In either unit; what is allowed in the one that was chosen is held against it after. */
const Degrees = Type.Number({ minimum: -30, maximum: 220, allowed: "a temperature" });
const minutes = (most: number) =>
	Type.Integer({ minimum: 1, maximum: most, allowed: `whole minutes from 1 to ${most}` });
const days = (most: number) =>
	Type.Integer({ minimum: 1, maximum: most, allowed: `whole days from 1 to ${most}` });

/** A house's own limits as they are typed; the second step of cooling may be left out. */
export const CodeEntry = Type.Object({
	name: Name,
	source: Type.String({
		minLength: 3,
		maxLength: 200,
		allowed: "where the figures come from, in 3 to 200 characters",
	}),
	dated: Type.String({ minLength: 1, maxLength: 40, allowed: "of when they are, in 1 to 40 characters" }),
	/** In which its temperatures are typed, and kept; °C where it is left out. */
	unit: Type.Optional(oneOf(DEGREE_UNITS)),
	from_C: Type.Optional(Degrees),
	/** As in the presets where it is left out. */
	clock: Type.Optional(oneOf(CODE_CLOCKS)),
	standing_min: Type.Integer({ minimum: 0, maximum: 240, allowed: "whole minutes from 0 to 240" }),
	first_C: Degrees,
	first_min: minutes(1440),
	second_C: Type.Optional(Degrees),
	second_min: Type.Optional(minutes(2880)),
	/** As in the presets where it is left out. */
	comingUp_min: Type.Optional(minutes(720)),
	kill: Type.Optional(oneOf(KILL_TABLE_KEYS)),
	holdHot_C: Degrees,
	/** The coldest step of cooling where it is left out. */
	keepCold_C: Type.Optional(Degrees),
	/** As it is kept where it is left out. */
	display_C: Type.Optional(Degrees),
	reheat_C: Degrees,
	reheat_min: Type.Optional(minutes(480)),
	chilled_days: Type.Optional(days(14)),
	frozen_days: Type.Optional(days(730)),
	opened_days: Type.Optional(days(7)),
	thawed_days: Type.Optional(days(7)),
});
export type CodeEntry = Static<typeof CodeEntry>;

type DegreesField = "from_C" | "first_C" | "second_C" | "holdHot_C" | "keepCold_C" | "display_C" | "reheat_C";

/** From where to where each may be, °C. */
const DOMAIN: Readonly<Record<DegreesField, readonly [least: number, most: number]>> = {
	from_C: [40, 95],
	first_C: [-5, 60],
	second_C: [-5, 60],
	holdHot_C: [40, 95],
	keepCold_C: [-5, 15],
	display_C: [-5, 15],
	reheat_C: [40, 100],
};

/**
 * The limits that were typed, kept in the unit they were typed in.
 *
 * @throws {Refusal} where a temperature is out of its domain, where the second step is not colder and
 *   later than the first, or half of it is missing
 */
export function codeOf(typed: CodeEntry): HouseCode {
	const { unit = "C", name, source, dated, standing_min, first_C, first_min, second_C, second_min } = typed;
	const { comingUp_min = USUAL_COMING_UP_MIN, kill = "seventy" } = typed;
	for (const field of Object.keys(DOMAIN) as DegreesField[]) refuseOutside(field, typed[field], unit);
	refuseSteps(typed, unit);
	const kept = (degrees: number) => (unit === "F" ? celsiusOf(degrees) : degrees);
	const steps = [
		{ to: first_C, within_min: first_min },
		...(second_C === undefined || second_min === undefined ? [] : [{ to: second_C, within_min: second_min }]),
	];
	const keepCold = typed.keepCold_C ?? second_C ?? first_C;
	return {
		...{ name, source, dated, comingUp_min, kill },
		cooling: {
			from_C: typed.from_C === undefined ? null : kept(typed.from_C),
			...(typed.clock === undefined ? {} : { clock: typed.clock }),
			standing_min,
			to: steps.map(({ to, within_min }) => ({ to_C: kept(to), within_min })),
		},
		holdHot_C: kept(typed.holdHot_C),
		keepCold_C: kept(keepCold),
		display_C: kept(typed.display_C ?? keepCold),
		reheat: { core_C: kept(typed.reheat_C), within_min: typed.reheat_min ?? null },
		life: {
			chilled_days: typed.chilled_days ?? USUAL_LIFE.chilled_days,
			frozen_days: typed.frozen_days ?? USUAL_LIFE.frozen_days,
			opened_days: typed.opened_days ?? USUAL_LIFE.opened_days,
			thawed_days: typed.thawed_days ?? USUAL_LIFE.thawed_days,
		},
		limits_F:
			unit === "C"
				? null
				: {
						from: typed.from_C ?? null,
						to: steps.map(({ to }) => to),
						...{ holdHot: typed.holdHot_C, keepCold, reheat: typed.reheat_C },
					},
		onlyF: unit === "F",
	};
}

function refuseOutside(field: DegreesField, degrees: number | undefined, unit: DegreeUnit): void {
	const [least, most] = DOMAIN[field].map((one) => (unit === "F" ? Math.round(fahrenheitOf(one)) : one)) as [
		number,
		number,
	];
	if (degrees === undefined || (degrees >= least && degrees <= most)) return;
	throw refuse(field, `${degrees} was given; a temperature from ${least} to ${most} °${unit} is allowed`);
}

/** Steps of cooling go down, and on. */
function refuseSteps(
	{ from_C, first_C, first_min, second_C, second_min }: CodeEntry,
	unit: DegreeUnit,
): void {
	if ((second_C === undefined) !== (second_min === undefined)) {
		throw refuse(
			second_C === undefined ? "second_C" : "second_min",
			"is missing; both of the second step, or neither, is allowed",
		);
	}
	if (second_C !== undefined && second_C >= first_C) {
		throw refuse(
			"second_C",
			`${second_C} was given; colder than the first step (${first_C} °${unit}) is allowed`,
		);
	}
	if (second_min !== undefined && second_min <= first_min) {
		throw refuse(
			"second_min",
			`${second_min} was given; later than the first step (${first_min} min) is allowed`,
		);
	}
	if (from_C !== undefined && from_C <= first_C) {
		throw refuse(
			"from_C",
			`${from_C} was given; hotter than the first step (${first_C} °${unit}) is allowed`,
		);
	}
}

/** Limits as they stand in the form: a preset to be copied in a unit, or the house's own in theirs. */
export function typedCode(
	code: HouseCode,
	unit: DegreeUnit = code.onlyF ? "F" : "C",
): Record<string, string> {
	const { name, source, dated, cooling, comingUp_min, kill, reheat, life } = code;
	const [first, second] = cooling.to;
	const typed = {
		...{ name, source, dated, comingUp_min, kill, ...life, ...degreesTyped(code, unit), unit },
		clock: cooling.clock,
		standing_min: cooling.standing_min,
		first_min: first?.within_min,
		second_min: second?.within_min,
		reheat_min: reheat.within_min,
	};
	return Object.fromEntries(
		Object.entries(typed).map(([field, value]) => [
			field,
			value === undefined || value === null ? "" : String(value),
		]),
	);
}

function degreesTyped(code: HouseCode, unit: DegreeUnit): Record<DegreesField, number | null | undefined> {
	const { cooling, holdHot_C, keepCold_C, display_C, reheat, limits_F } = code;
	const [first, second] = cooling.to;
	if (unit === "C") {
		return {
			...{ from_C: cooling.from_C, first_C: first?.to_C, second_C: second?.to_C },
			...{ holdHot_C, keepCold_C, display_C, reheat_C: reheat.core_C },
		};
	}
	// As the rule writes them; to the tenth where it writes °C alone.
	const tenths = (C: number | null | undefined) =>
		C === null || C === undefined ? C : Math.round(fahrenheitOf(C) * 10) / 10;
	return {
		from_C: limits_F?.from ?? tenths(cooling.from_C),
		first_C: limits_F?.to[0] ?? tenths(first?.to_C),
		second_C: limits_F?.to[1] ?? tenths(second?.to_C),
		holdHot_C: limits_F?.holdHot ?? tenths(holdHot_C),
		keepCold_C: limits_F?.keepCold ?? tenths(keepCold_C),
		display_C: tenths(display_C),
		reheat_C: limits_F?.reheat ?? tenths(reheat.core_C),
	};
}
