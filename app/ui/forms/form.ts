import type { Static, TObject } from "@sinclair/typebox";
import { checked, Refusal } from "#core/check";

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
	try {
		return { value: checked(schema, valuesOf(schema, typed)) };
	} catch (error) {
		if (error instanceof Refusal) return { typed, wrong: wrongOf(error) };
		throw error;
	}
}

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

function valuesOf(schema: TObject, typed: Typed): Record<string, unknown> {
	return Object.fromEntries(
		Object.entries(schema.properties).flatMap(([name, field]) => {
			const value = readValue(typed[name], field.type);
			return value === undefined ? [] : [[name, value]];
		}),
	);
}

function readValue(text: string | undefined, type: unknown): unknown {
	if (type === "boolean") return text === "on" || text === "true";
	if (text === undefined) return undefined;
	const trimmed = text.trim();
	if (type !== "number" && type !== "integer") return trimmed;
	if (trimmed === "") return undefined;
	const number = Number(trimmed.replace(",", "."));
	return Number.isNaN(number) ? trimmed : number;
}
