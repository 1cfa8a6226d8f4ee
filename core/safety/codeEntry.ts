import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse } from "../check/index.ts";
import { CODE_CLOCKS, type HouseCode, USUAL_COMING_UP_MIN } from "./houseCodes.ts";
import { KILL_TABLE_KEYS } from "./killTables.ts";

const degrees = (least: number, most: number) =>
	Type.Number({ minimum: least, maximum: most, allowed: `a temperature from ${least} to ${most} °C` });
const minutes = (most: number) =>
	Type.Integer({ minimum: 1, maximum: most, allowed: `whole minutes from 1 to ${most}` });

/** A house's own limits as they are typed; the second step of cooling may be left out. */
export const CodeEntry = Type.Object({
	name: Name,
	source: Type.String({
		minLength: 3,
		maxLength: 200,
		allowed: "where the figures come from, in 3 to 200 characters",
	}),
	dated: Type.String({ minLength: 1, maxLength: 40, allowed: "of when they are, in 1 to 40 characters" }),
	from_C: Type.Optional(degrees(40, 95)),
	/** As in the presets where it is left out. */
	clock: Type.Optional(oneOf(CODE_CLOCKS)),
	standing_min: Type.Integer({ minimum: 0, maximum: 240, allowed: "whole minutes from 0 to 240" }),
	first_C: degrees(-5, 60),
	first_min: minutes(1440),
	second_C: Type.Optional(degrees(-5, 60)),
	second_min: Type.Optional(minutes(2880)),
	/** As in the presets where it is left out. */
	comingUp_min: Type.Optional(minutes(720)),
	kill: Type.Optional(oneOf(KILL_TABLE_KEYS)),
	holdHot_C: degrees(40, 95),
	/** The coldest step of cooling where it is left out. */
	keepCold_C: Type.Optional(degrees(-5, 15)),
	reheat_C: degrees(40, 100),
	reheat_min: Type.Optional(minutes(480)),
});
export type CodeEntry = Static<typeof CodeEntry>;

/**
 * The limits that were typed.
 *
 * @throws {Refusal} where the second step is not colder and later than the first, or half of it is missing
 */
export function codeOf(typed: CodeEntry): HouseCode {
	const { name, source, dated, from_C, standing_min, first_C, first_min, second_C, second_min } = typed;
	const { comingUp_min = USUAL_COMING_UP_MIN, kill = "seventy" } = typed;
	refuseSteps(typed);
	const second =
		second_C === undefined || second_min === undefined ? [] : [{ to_C: second_C, within_min: second_min }];
	return {
		...{ name, source, dated, comingUp_min, kill },
		cooling: {
			from_C: from_C ?? null,
			...(typed.clock === undefined ? {} : { clock: typed.clock }),
			standing_min,
			to: [{ to_C: first_C, within_min: first_min }, ...second],
		},
		holdHot_C: typed.holdHot_C,
		keepCold_C: typed.keepCold_C ?? second_C ?? first_C,
		reheat: { core_C: typed.reheat_C, within_min: typed.reheat_min ?? null },
	};
}

/** Steps of cooling go down, and on. */
function refuseSteps({ from_C, first_C, first_min, second_C, second_min }: CodeEntry): void {
	if ((second_C === undefined) !== (second_min === undefined)) {
		throw refuse(
			second_C === undefined ? "second_C" : "second_min",
			"is missing; both of the second step, or neither, is allowed",
		);
	}
	if (second_C !== undefined && second_C >= first_C) {
		throw refuse("second_C", `${second_C} was given; colder than the first step (${first_C} °C) is allowed`);
	}
	if (second_min !== undefined && second_min <= first_min) {
		throw refuse(
			"second_min",
			`${second_min} was given; later than the first step (${first_min} min) is allowed`,
		);
	}
	if (from_C !== undefined && from_C <= first_C) {
		throw refuse("from_C", `${from_C} was given; hotter than the first step (${first_C} °C) is allowed`);
	}
}

/** Limits as they stand in the form: a preset to be copied, or the house's own. */
export function typedCode({
	name,
	source,
	dated,
	cooling,
	comingUp_min,
	kill,
	holdHot_C,
	keepCold_C,
	reheat,
}: HouseCode): Record<string, string> {
	const [first, second] = cooling.to;
	const typed = {
		name,
		source,
		dated,
		from_C: cooling.from_C,
		clock: cooling.clock,
		standing_min: cooling.standing_min,
		first_C: first?.to_C,
		first_min: first?.within_min,
		second_C: second?.to_C,
		second_min: second?.within_min,
		comingUp_min,
		kill,
		holdHot_C,
		keepCold_C,
		reheat_C: reheat.core_C,
		reheat_min: reheat.within_min,
	};
	return Object.fromEntries(
		Object.entries(typed).map(([field, value]) => [
			field,
			value === undefined || value === null ? "" : String(value),
		]),
	);
}
