import type { Static, TSchema } from "@sinclair/typebox";
import { Ajv, type ErrorObject, type ValidateFunction } from "ajv";
import addFormats from "ajv-formats";
import { type Problem, Refusal } from "./Refusal.ts";

const ajv = addFormats.default(
	new Ajv({
		allErrors: true,
		useDefaults: true,
		strict: true,
		// A tagged choice requires its tag beside the choice, not inside each branch.
		strictRequired: false,
		verbose: true,
		discriminator: true,
	}),
);
ajv.addFormat("time-zone", isTimeZone);
ajv.addKeyword({ keyword: "allowed", schemaType: "string" });
// A text that is typed as a day or a time, for the reader of forms.
ajv.addKeyword({ keyword: "typedAs", schemaType: "string" });

/** An area's name that the machine's clock knows, an older or a newer one. */
function isTimeZone(name: string): boolean {
	if (!/^(UTC|[A-Za-z_]+\/[A-Za-z0-9_+/-]+)$/.test(name)) return false;
	try {
		return new Intl.DateTimeFormat("en", { timeZone: name }).resolvedOptions().timeZone !== "";
	} catch {
		return false;
	}
}

const compiled = new WeakMap<TSchema, ValidateFunction>();

/**
 * What was given, as the type the schema promises, with its defaults filled in.
 *
 * @param schema TypeBox schema; `title` names the field to a person and the
 *               own keyword `allowed` says in words what may stand there
 * @param given  anything; it is copied, never changed
 * @throws {Refusal} with one problem a field
 */
export function checked<S extends TSchema>(schema: S, given: unknown): Static<S> {
	const value = structuredClone(given);
	const broken = firstImpossible(value, "");
	if (broken) throw new Refusal([broken]);
	const validate = compiled.get(schema) ?? ajv.compile(schema);
	compiled.set(schema, validate);
	if (validate(value)) return value as Static<S>;
	throw new Refusal(problemsOf(validate.errors ?? []));
}

/** Whether a value is what a schema allows. */
export function fits(schema: TSchema, value: unknown): boolean {
	try {
		checked(schema, value);
		return true;
	} catch (error) {
		if (error instanceof Refusal) return false;
		throw error;
	}
}

/** What no schema speaks of: numbers that are none, and text that cannot be seen or kept. */
function firstImpossible(value: unknown, path: string): Problem | undefined {
	if (typeof value === "number" && !Number.isFinite(value)) {
		return { field: path || "value", message: `${value} was given; a real number is allowed` };
	}
	if (typeof value === "string") return hiddenIn(value, path || "value");
	if (value === null || typeof value !== "object") return undefined;
	for (const [key, inner] of Object.entries(value)) {
		const at = Array.isArray(value) ? `${path}[${key}]` : path ? `${path}.${key}` : key;
		const found = firstImpossible(inner, at);
		if (found) return found;
	}
	return undefined;
}

/**
 * Control characters, those that turn the direction of what follows, and halves of characters: a
 * database drops some of them and what comes after, and a reader is misled by others. White space is
 * none of them.
 */
const HIDDEN = /[\p{Cc}\u202A-\u202E\u2066-\u2069\uFFFE\uFFFF](?<![\t-\r\u0085])|\p{Surrogate}/u;
/** Characters without any width that are no white space. */
const INVISIBLE_ONLY = /^[\p{Cf}\p{Mn}]+$/u;

function hiddenIn(text: string, field: string): Problem | undefined {
	const [hidden] = HIDDEN.exec(text) ?? [];
	if (hidden !== undefined) {
		const code = hidden.charCodeAt(0).toString(16).toUpperCase().padStart(4, "0");
		return {
			field,
			message: `has a character that cannot be seen (U+${code}); text that can be read is allowed`,
		};
	}
	if (INVISIBLE_ONLY.test(text)) {
		return { field, message: "has only characters that cannot be seen; text that can be read is allowed" };
	}
	return undefined;
}

/** Ajv reports every branch of a choice; a person wants one sentence a field. */
function problemsOf(errors: readonly ErrorObject[]): Problem[] {
	const byField = new Map<string, Problem>();
	const choices = errors.filter((error) => error.keyword === "anyOf" || error.keyword === "oneOf");
	for (const error of errors) {
		const inChoice = choices.find(
			(choice) => choice !== error && error.schemaPath.startsWith(`${choice.schemaPath}/`),
		);
		if (inChoice) continue;
		const field = fieldOf(error);
		if (!byField.has(field)) byField.set(field, { field, message: messageOf(error) });
	}
	return [...byField.values()];
}

function fieldOf(error: ErrorObject): string {
	const path = error.instancePath
		.split("/")
		.slice(1)
		.map((part) => (/^\d+$/.test(part) ? `[${part}]` : `.${part}`))
		.join("")
		.replace(/^\./, "");
	const missing = error.params.missingProperty ?? error.params.additionalProperty;
	if (missing) return path ? `${path}.${missing}` : String(missing);
	return path || "given";
}

function messageOf(error: ErrorObject): string {
	if (error.keyword === "required") {
		const wanted = error.parentSchema?.properties?.[error.params.missingProperty];
		return wanted ? `is missing; ${allowedBy(wanted)} is needed` : "is missing";
	}
	if (error.keyword === "additionalProperties") return "is not known here";
	const schema = (error.parentSchema ?? {}) as Record<string, unknown>;
	return `${shown(error.data)} was given; ${allowedBy(schema)} is allowed`;
}

function shown(value: unknown): string {
	if (value === "" || value === null) return "nothing";
	if (Array.isArray(value)) return value.length === 0 ? "nothing" : entries(value.length);
	if (typeof value === "object") return "something of several parts";
	const text = typeof value === "string" ? `“${value}”` : JSON.stringify(value);
	return text && text.length > 60 ? `${text.slice(0, 57)}…` : String(text);
}

/** What a schema lets through, in words; the schema's own `allowed` goes first. */
export function allowedBy(schema: Record<string, unknown>): string {
	if (typeof schema.allowed === "string") return schema.allowed;
	const choices = choicesOf(schema);
	if (choices.length > 0) return `one of ${choices.join(", ")}`;
	switch (schema.type) {
		case "number":
		case "integer":
			return numbersAllowed(schema);
		case "string":
			return schema.maxLength === undefined ? "text" : `text of 1 to ${schema.maxLength} characters`;
		case "array":
			return listAllowed(schema);
		case "boolean":
			return "true or false";
		default:
			return "a complete entry";
	}
}

function listAllowed({ minItems = 0, maxItems }: Record<string, unknown>): string {
	if (typeof maxItems !== "number")
		return typeof minItems === "number" && minItems > 0 ? "at least one entry" : "a list";
	return typeof minItems === "number" && minItems > 0
		? `${minItems} to ${entries(maxItems)}`
		: `a list of up to ${entries(maxItems)}`;
}

function entries(count: number): string {
	return `${count.toLocaleString("en-GB")} ${count === 1 ? "entry" : "entries"}`;
}

function numbersAllowed(schema: Record<string, unknown>): string {
	const kind = schema.type === "integer" ? "a whole number" : "a number";
	const low = schema.minimum ?? schema.exclusiveMinimum;
	const above = schema.exclusiveMinimum === undefined ? "from" : "above";
	const from = low === undefined ? "" : ` ${above} ${low}`;
	const to = schema.maximum === undefined ? "" : ` up to ${schema.maximum}`;
	return kind + from + to;
}

function choicesOf(schema: Record<string, unknown>): string[] {
	if (schema.const !== undefined) return [String(schema.const)];
	if (Array.isArray(schema.enum)) return schema.enum.map(String);
	if (!Array.isArray(schema.anyOf)) return [];
	const each = schema.anyOf.map((error) => choicesOf(error));
	return each.every((field) => field.length === 1) ? each.flat() : [];
}
