import { refuse } from "../check/index.ts";
import type { Preparation } from "./Preparation.ts";
import { DOC_VERSION, type Recipe } from "./Recipe.ts";

/** A recipe document of some format, as JSON gives it. */
type Doc = Readonly<Record<string, unknown>>;

/** What makes a document of one format version one of the next, by the version it starts from. */
export type FormatSteps = ReadonlyMap<number, (doc: Doc) => Doc>;

/** A change of the format raises `DOC_VERSION` and adds its step here. */
const STEPS: FormatSteps = new Map();

/**
 * A recipe document as it was stored, in the format of today. It was checked when it was
 * written, so only its format is looked at.
 *
 * @throws {Refusal} when a newer version of the product wrote it, or when it is no recipe document
 */
export function readDoc(stored: unknown): Recipe | Preparation {
	return asOfToday(stored) as Recipe | Preparation;
}

/**
 * The same for a document that comes from outside and is checked by its schema afterwards: an
 * older format is brought up, all else is handed on as it came.
 */
export function broughtUp(given: unknown): unknown {
	const version = versionOf(given);
	return version !== null && version < DOC_VERSION ? asOfToday(given) : given;
}

/**
 * A document brought up step by step.
 *
 * @throws {Refusal} when its format version is missing, newer than today's, or without a step
 */
export function asOfToday(given: unknown, steps: FormatSteps = STEPS, today = DOC_VERSION): Doc {
	const version = versionOf(given);
	if (version === null) throw refuse("formatVersion", `is missing; 1 to ${today} is allowed`);
	if (version > today) {
		throw refuse(
			"formatVersion",
			`${version} was given, which a newer version of this program wrote; up to ${today} is allowed`,
		);
	}
	let doc = given as Doc;
	for (let from = version; from < today; from += 1) {
		const step = steps.get(from);
		if (!step) throw refuse("formatVersion", `${from} was given; nothing is known that brings it up`);
		doc = { ...step(doc), formatVersion: from + 1 };
	}
	return doc;
}

function versionOf(given: unknown): number | null {
	if (typeof given !== "object" || given === null) return null;
	const { formatVersion } = given as Doc;
	return typeof formatVersion === "number" && Number.isInteger(formatVersion) && formatVersion >= 1
		? formatVersion
		: null;
}
