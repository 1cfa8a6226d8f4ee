import { data } from "react-router";
import { shownMark } from "#core/day";
import type { Kitchen } from "#core/kitchen";
import { readSitting, type Sitting } from "#db";
import { hasTrial, readTrial, withTrial } from "../ui/forms/tableTrial.ts";
import {
	afterNumber,
	type UnderNumber,
	underNumber,
	withoutFigures,
} from "../ui/server/underNumber.server.ts";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";
import { type WorkedRow, workedSitting } from "../ui/server/worked.server.ts";
import type { Reading } from "../ui/words/reading.ts";

/** Which dish of which sitting. */
export interface DishOfSitting {
	readonly sittingId: string;
	readonly dishId: string;
	/** What is tried with it, as the address of its long table says it; or the number it is asked for under. */
	readonly search?: string;
}

/** What every sheet of one dish is written from: the production sheet, its labels, its cutting note. */
export interface DishOnPaper {
	readonly sitting: Sitting;
	readonly row: WorkedRow;
	readonly kitchen: Kitchen;
	readonly house: string;
	readonly paper: HouseVisit["preferences"]["paper"];
	readonly reading: Reading;
	/** Whether it shows what is tried and nobody has taken. */
	readonly onTrial: boolean;
	/** Its letter in the newest number of its day, or in the one it is asked for under; null where it is in none. */
	readonly tag: string | null;
	/** What it was made from, beside when it was printed: ", dish A of day No. 1, mark 7KX2M9QP". */
	readonly stamp: string;
	/** What is another than in the number that it names; empty where nothing is. */
	readonly since: string;
	/** The dish's long table. */
	readonly to: string;
}

export async function dishOnPaper(visit: HouseVisit, asked: DishOfSitting): Promise<DishOnPaper> {
	const { store, reading, house } = visit;
	const { sittingId, dishId, search = "" } = asked;
	const under = await underNumber(store.db, search, reading);
	if (under) return issuedOnPaper(visit, asked, under);
	const stored = await foundOr404(readSitting(store.db, sittingId), "sitting");
	const address = new URLSearchParams(search);
	const read = hasTrial(address) ? readTrial(address, house.timeZone, reading.units) : null;
	const onTrial = read !== null && "value" in read;
	const sitting = onTrial ? withTrial(stored, dishId, read.value) : stored;
	const worked = await workedSitting(store.db, sitting, onTrial ? { now: reading.now, sitting } : null);
	const row = worked?.rows.find(({ dish }) => dish.id === dishId);
	if (!worked || !row) throw data({ missing: "dish on this sitting" }, { status: 404 });
	const { issue, asIssued, mark } = worked.on;
	const tag = issue ? tagIn(issue.doc.sittings, dishId) : null;
	const number =
		issue && tag
			? asIssued
				? `, dish ${tag} of day No. ${issue.number}`
				: `, after No. ${issue.number}`
			: "";
	return {
		...aboutPaper(visit, sitting, dishId),
		...{ row, kitchen: worked.kitchen, onTrial, tag },
		stamp: onTrial ? ", ON TRIAL: not taken" : `${number}, mark ${shownMark(mark)}`,
		since: onTrial ? "" : afterNumber(worked.on, reading),
	};
}

/** A dish as it was issued under a number: every figure as it was frozen. */
function issuedOnPaper(
	visit: HouseVisit,
	{ sittingId, dishId }: DishOfSitting,
	{ issue, figures, since }: UnderNumber,
): DishOnPaper {
	if (!figures) throw data({ said: withoutFigures(issue) }, { status: 404 });
	const found = figures.sittings.find(({ sitting: { id } }) => id === sittingId);
	const row = found?.rows.find(({ dish }) => dish.id === dishId);
	if (!found || !row) throw data({ missing: `dish in No. ${issue.number}` }, { status: 404 });
	const tag = tagIn(issue.doc.sittings, dishId);
	return {
		...aboutPaper(visit, found.sitting, dishId),
		...{ row, kitchen: found.kitchen, onTrial: false, tag, since },
		stamp: `, ${tag ? `dish ${tag} of ` : ""}day No. ${issue.number}, as it was issued`,
	};
}

function tagIn(
	sittings: readonly { readonly dishes: readonly { readonly id: string; readonly tag: string }[] }[],
	dishId: string,
): string | null {
	return sittings.flatMap(({ dishes }) => dishes).find(({ id }) => id === dishId)?.tag ?? null;
}

function aboutPaper({ house, preferences, reading }: HouseVisit, sitting: Sitting, dishId: string) {
	return {
		sitting,
		house: house.name,
		paper: preferences.paper,
		reading: reading.towards(sitting.serviceAt),
		to: `/sittings/${sitting.id}/dishes/${dishId}`,
	};
}
