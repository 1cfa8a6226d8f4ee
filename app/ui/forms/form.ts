import type { Static, TObject, TSchema } from "@sinclair/typebox";
import { checked, fits, Refusal, refuse } from "#core/check";
import { readNumber, Unclear } from "#core/quantity";
import { dayTyped, readDay, readMoment, readTime, wallClock } from "#core/time";

/** What was typed, kept as it was typed. */
export type Typed = Readonly<Record<string, string>>;
/** What is wrong, one sentence a field. */
export type Wrong = Readonly<Record<string, string>>;

export type FormRead<T> = { readonly value: T } | { readonly wrong: Wrong; readonly typed: Typed };

/**
 * A form (or an address) read by its schema. Numbers may be typed with a decimal comma;
 * an empty field is a missing one; a box that is not ticked is false.
 */
export function readForm<S extends TObject>(
	schema: S,
	form: FormData | URLSearchParams,
): FormRead<Static<S>> {
	const typed = typedIn(form);
	const isMoment = "date" in schema.properties && "time" in schema.properties;
	const { values, unclear } = valuesOf(schema, isMoment ? momentApart(typed) : typed);
	try {
		const value = checked(schema, values);
		return Object.keys(unclear).length > 0 ? { typed, wrong: unclear } : { value };
	} catch (error) {
		if (error instanceof Refusal) return { typed, wrong: { ...wrongOf(error), ...unclear } };
		throw error;
	}
}

/** A day that was typed before the time counts in place of the one the form was made with. */
export function momentApart(typed: Typed): Typed {
	const moment = readMoment(typed.time ?? "", todayUtc());
	if (moment === undefined) return typed;
	// A day that could be two is asked for where it was typed.
	if ("either" in moment) return { ...typed, date: (typed.time ?? "").trim().replace(/\s.*/, ""), time: "" };
	return { ...typed, ...moment };
}

const todayUtc = () => wallClock(Date.now(), "UTC").date;

export function wrongOf(refusal: Refusal): Wrong {
	return Object.fromEntries(
		refusal.problems.map(({ field, message }) => [field, message.charAt(0).toUpperCase() + message.slice(1)]),
	);
}

export function typedIn(form: FormData | URLSearchParams): Typed {
	const typed: Record<string, string> = {};
	for (const [name, value] of form) if (typeof value === "string") typed[name] = value;
	return typed;
}

/**
 * The version of what is stored that a page was made from. What is none is older than all: nothing is
 * written over unseen.
 */
export function versionOf({ version = "" }: Typed): number {
	return /^\d{1,9}$/.test(version) ? Number(version) : NO_VERSION;
}

const NO_VERSION = -1;

/** Stands for a day that could be two, so that nothing else is said of it. */
const FIRST_DAY = "1970-01-01";

interface ValuesRead {
	readonly values: Record<string, unknown>;
	/** Numbers and days that could be two things: they are asked for. */
	readonly unclear: Record<string, string>;
}

function valuesOf(schema: TObject, typed: Typed): ValuesRead {
	const values: Record<string, unknown> = {};
	const unclear: Record<string, string> = {};
	for (const [name, field] of Object.entries(schema.properties)) {
		try {
			const value = readValue(name, typed[name], field);
			if (value !== undefined) values[name] = value;
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			unclear[name] = error.problems[0]?.message ?? "";
			values[name] = error instanceof Unclear ? error.numbers[0] : FIRST_DAY;
		}
	}
	return { values, unclear };
}

function readValue(name: string, text: string | undefined, field: TSchema): unknown {
	const { type } = field;
	if (type === "boolean") return text === "on" || text === "true";
	if (text === undefined) return undefined;
	const trimmed = text.trim();
	if (field.typedAs === "day") return dayIn(name, trimmed);
	if (field.typedAs === "time") return readTime(trimmed) ?? trimmed;
	if (type !== "number" && type !== "integer") return trimmed;
	if (trimmed === "") return undefined;
	return readNumber(trimmed, name, (value) => fits(field, value)) ?? trimmed;
}

/** @throws {Refusal} when it could be two days, or is past and its year was not written */
function dayIn(name: string, text: string): string {
	const day = readDay(text, todayUtc()) ?? text;
	if (typeof day === "string") {
		const isPast = day !== text && day < todayUtc() && !/\d{4}/.test(text);
		if (isPast) throw refuse(name, `“${text}” was ${dayTyped(day)}; write its year where that is meant`);
		return day;
	}
	const [one, other] = day.either.map(dayTyped);
	throw refuse(name, `“${text}” could be ${one} or ${other}; write the month as a word`);
}
