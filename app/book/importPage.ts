import { Refusal } from "#core/check";
import { measuresOf } from "#core/quantity";
import {
	AllergensFall,
	applyImport,
	type Confirmed,
	dropStage,
	freeRecipeId,
	newestEvent,
	type Reader,
	readStage,
	saveDraft,
} from "#db";
import type { Told } from "#server";
import { type FallView, fallView } from "../ui/forms/fall.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { changeField } from "./draftEdits.ts";
import { planOfStage, planView, signatureOf, type Understood, understand } from "./importView.ts";

/** A file that is held, and what it would do to the book as it is now. */
export async function importPage({ store }: HouseVisit, { id }: { readonly id: string }) {
	const stage = await foundOr404(readStage(store.db, id), "file that is held");
	return { id, name: stage.name, ...viewOf(await understand(store.db, stage)) };
}

function viewOf(understood: Understood) {
	switch (understood.kind) {
		case "none":
			return { kind: understood.kind, why: understood.why, plan: null, drafts: [], refused: [] };
		case "drafts":
			return {
				kind: understood.kind,
				why: null,
				plan: null,
				refused: understood.refused,
				drafts: understood.drafts.map(({ name, draft, notCarried }) => ({
					name,
					lines: draft.lines.length,
					steps: draft.steps.length,
					notCarried,
				})),
			};
		case "book":
			return { kind: understood.kind, why: null, plan: planView(understood.plan), drafts: [], refused: [] };
	}
}

/** Why a file was not taken in, and the status that says so. */
export interface NotTaken {
	readonly problem: string;
	readonly status: 400 | 409;
	/** What falls with it, and waits for a name. */
	readonly fall?: FallView;
}

/** What is asked with a held file. */
export interface TakeAsked {
	readonly id: string;
	/** Of the plan that was looked at. */
	readonly signature: string;
	/** What falls with it, by name. */
	readonly confirmed?: Confirmed | undefined;
}

/** Thrown out of the transaction when the book has changed since the plan was looked at. */
class OtherPlan extends Error {}

/**
 * Takes a held file in, all of it or nothing.
 *
 * @param signature of the plan that was looked at: another one is not carried out
 * @returns null when it is in
 */
export async function takeIn(
	{ store, who, reading }: HouseVisit,
	{ id, signature, confirmed }: TakeAsked,
	told: Told,
): Promise<NotTaken | null> {
	const stage = await foundOr404(readStage(store.db, id), "file that is held");
	const newest = await newestEvent(store.db);
	const understood = await understand(store.db, stage);
	if (understood.kind === "none") return { problem: understood.why, status: 400 };
	if (understood.kind === "drafts") {
		for (const { draft, name } of understood.drafts) {
			const own = changeField(draft, "measures", measuresOf(reading.units));
			await saveDraft(store, await freeRecipeId(store.db, name), 0, own, { who, basedOn: null });
		}
	} else {
		const planOf = async (tx: Reader) => {
			// Nobody else can write meanwhile, so it is only read again where somebody has.
			const isSame = (await newestEvent(tx)) === newest;
			const plan = isSame ? understood.plan : await planOfStage(tx, stage);
			if (signatureOf(plan) !== signature) throw new OtherPlan();
			return plan;
		};
		const notTaken = await applyImport(store, planOf, who, told, confirmed).then(() => null, whyNotTaken);
		if (notTaken) return notTaken;
	}
	await dropStage(store, id);
	return null;
}

function whyNotTaken(error: unknown): NotTaken {
	if (error instanceof AllergensFall) {
		const problem = "Less would be declared of what stands below.";
		return { problem, status: 409, fall: fallView(error) };
	}
	if (error instanceof Refusal) return { problem: error.message, status: 400 };
	if (!(error instanceof OtherPlan)) throw error;
	const problem = "The book has changed since this was looked at; it would now do what stands below.";
	return { problem, status: 409 };
}
