import { type BestOrder, bestOrder, orderOf } from "#core/day";
import type { Database } from "#db";
import type { Told } from "#server";
import { type WorkedDate, workedDates } from "../ui/server/worked.server.ts";

/**
 * The order of placing in which a date goes without least, each tried as it will be once it is kept.
 *
 * @returns null where the date goes without nothing, or no order that was tried is better
 */
export async function betterOrder(
	db: Database,
	{ date, day, given }: WorkedDate,
	now: number,
	told?: Told,
): Promise<BestOrder | null> {
	if (day.unmet.length === 0) return null;
	const place = async (order: number) => {
		const changes = [{ kind: "order" as const, order }];
		const [tried] = await workedDates(db, date, date, { now, told: { date, changes } });
		return tried?.day ?? day;
	};
	const best = await bestOrder(day, orderOf(given()), place, told);
	return best.missing_min < best.was_min ? best : null;
}
