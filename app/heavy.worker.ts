import { workerData } from "piscina";
import type { Store } from "#db";
import {
	type HeavyAnswer,
	type HeavyAsked,
	type HeavySetting,
	NOBODY_NAMED,
	openStore,
	type Told,
} from "#server";
import { JOBS } from "./heavyJobs.ts";
import { type HouseVisit, visitFor } from "./ui/server/visit.ts";

type AnyJob = (visit: HouseVisit, given: unknown, told: Told) => Promise<unknown>;

let opened: Promise<Store> | undefined;

/** Does one job, with a connection to the database of its own. */
export default async function work({
	name,
	given,
	preferences,
	who = NOBODY_NAMED,
	progress,
}: HeavyAsked): Promise<HeavyAnswer> {
	const job = (JOBS as Readonly<Record<string, AnyJob>>)[name];
	if (!job) throw new Error(`there is no job ${name}`);
	opened ??= openStore((workerData as HeavySetting).config);
	try {
		const visit = await visitFor({ store: await opened, preferences, who, nonce: "" });
		const told: Told = (done, all) => {
			progress[0] = done;
			progress[1] = all;
		};
		return { value: await job(visit, given, told) };
	} catch (error) {
		const shown = shownBy(error);
		if (shown) return { thrown: shown };
		throw error;
	}
}

/** What a page is thrown to show instead of itself: its data and its status. */
function shownBy(error: unknown): { data: unknown; status: number } | null {
	if (typeof error !== "object" || error === null || !("type" in error)) return null;
	if (error.type !== "DataWithResponseInit") return null;
	const { data, init } = error as unknown as { data: unknown; init: { status?: number } | null };
	return { data, status: init?.status ?? 500 };
}
