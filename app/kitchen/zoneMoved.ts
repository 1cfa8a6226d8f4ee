import { refuse } from "#core/check";
import { DAY_MS, fromWallClock, wallClock } from "#core/time";
import { readSittings } from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";

/** What sittings to come mean in another zone. */
export const MEANS = {
	clock: "the same time on the clock there",
	instant: "the same moment as before",
} as const;

/**
 * How sittings to come are moved with the house's zone.
 *
 * @throws {Refusal} where some are to come and nobody has said what they mean
 */
export async function movedWith(
	{ store, house }: HouseVisit,
	timeZone: string,
	means: string,
): Promise<((serviceAt: number) => number) | undefined> {
	if (timeZone === house.timeZone) return undefined;
	const now = Date.now();
	const coming = (await readSittings(store.db, now, now + FAR_MS)).length;
	if (coming === 0 || means === "instant") return undefined;
	if (means !== "clock")
		throw refuse(
			"sittingsMean",
			`${counted(coming, "sitting is", "sittings are")} to come; say what their times mean in ${timeZone}`,
		);
	return (serviceAt) => {
		const { date, time } = wallClock(serviceAt, house.timeZone);
		return fromWallClock(date, time, timeZone) ?? serviceAt;
	};
}

/** Sittings are written down no farther ahead, ms. */
const FAR_MS = 3650 * DAY_MS;
