import { nanoid } from "nanoid";
import { ShareEntry } from "#core/sitting";
import type { SittingDetails } from "#db";
import { readForm, type Typed, typedIn, versionOf, type Wrong } from "../ui/forms/form.ts";
import { readDetails } from "./sittingForm.ts";

interface Shares {
	readonly uptake: number;
	readonly spare: number;
}

export interface SittingRead {
	readonly details: SittingDetails;
	/** Shares by dish. */
	readonly shares: ReadonlyMap<string, Shares>;
	readonly version: number;
	readonly intent: "save" | "add" | "remove" | "putBack" | "renew" | "callOff";
	/** The dish to remove, to put back or to bring to the newer standard, or the recipe to add. */
	readonly subject: string;
	/** The id that a dish to be added gets, given out with the page. */
	readonly newId: string;
}

/** The whole page of a sitting; every wrong field is told at once. */
export function readSittingForm(
	form: FormData,
	timeZone: string,
	codes: readonly string[],
): { value: SittingRead; typed: Typed } | { typed: Typed; wrong: Wrong } {
	const typed = typedIn(form);
	const details = readDetails(form, timeZone, codes);
	const { shares, wrong } = readShares(form, typed);
	if ("wrong" in details) return { typed, wrong: { ...details.wrong, ...wrong } };
	if (Object.keys(wrong).length > 0) return { typed, wrong };
	const [intent = "save", dish = ""] = (typed.intent ?? "save").split(":");
	return {
		typed,
		value: {
			details: details.value,
			shares,
			version: versionOf(typed),
			newId: /^[\w-]{1,40}$/.test(typed.newId ?? "") ? (typed.newId as string) : nanoid(10),
			intent: intent as SittingRead["intent"],
			subject: intent === "add" ? (typed.recipe ?? "") : dish,
		},
	};
}

/** The share of the covers of each dish, and what is wrong with any of them. */
function readShares(form: FormData, typed: Typed): { shares: Map<string, Shares>; wrong: Wrong } {
	const shares = new Map<string, Shares>();
	const wrong: Record<string, string> = {};
	for (const id of form.getAll("dish").map(String)) {
		const own = new FormData();
		for (const field of ["uptake", "spare"]) own.set(field, typed[`${field}.${id}`] ?? "");
		const read = readForm(ShareEntry, own);
		if ("value" in read) {
			shares.set(id, { uptake: read.value.uptake / 100, spare: read.value.spare / 100 });
			continue;
		}
		for (const [field, message] of Object.entries(read.wrong)) wrong[`${field}.${id}`] = message;
	}
	return { shares, wrong };
}
