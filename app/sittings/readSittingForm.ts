import { nanoid } from "nanoid";
import { Refusal } from "#core/check";
import { readUptake, ShareEntry, type SittingDish } from "#core/sitting";
import type { SittingDetails } from "#db";
import {
	type FormRead,
	readForm,
	type Typed,
	typedIn,
	versionOf,
	type Wrong,
	wrongOf,
} from "../ui/forms/form.ts";
import { readDetails } from "./sittingForm.ts";

type Shares = Pick<SittingDish, "uptake" | "share" | "spare">;

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
	const covers = "value" in details ? details.value.covers : Number(typed.covers);
	const { shares, wrong } = readShares(form, typed, covers);
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
function readShares(
	form: FormData,
	typed: Typed,
	covers: number,
): { shares: Map<string, Shares>; wrong: Wrong } {
	const shares = new Map<string, Shares>();
	const wrong: Record<string, string> = {};
	for (const id of form.getAll("dish").map(String)) {
		const read = readShare(typed[`uptake.${id}`] ?? "", typed[`spare.${id}`] ?? "", covers);
		if ("value" in read) shares.set(id, read.value);
		else for (const [field, message] of Object.entries(read.wrong)) wrong[`${field}.${id}`] = message;
	}
	return { shares, wrong };
}

function readShare(uptake: string, spare: string, covers: number): FormRead<Shares> {
	const own = new FormData();
	own.set("uptake", uptake);
	own.set("spare", spare);
	const read = readForm(ShareEntry, own);
	if ("wrong" in read) return read;
	try {
		return { value: { ...readUptake(read.value.uptake, covers), spare: read.value.spare / 100 } };
	} catch (error) {
		if (error instanceof Refusal) return { typed: typedIn(own), wrong: wrongOf(error) };
		throw error;
	}
}
