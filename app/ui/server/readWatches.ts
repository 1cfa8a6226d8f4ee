import { groupBy } from "es-toolkit";
import { type RecordEntry, type WatchNow, watchesAsked, watchesNow } from "#core/records";
import { type Reader, readPoints } from "#db";

/**
 * The watches of some lots as they stand, lot by lot.
 *
 * @param lots all that was written of each, in order
 * @param now  instant
 */
export async function readWatches(
	db: Reader,
	lots: readonly (readonly RecordEntry[])[],
	now: number,
): Promise<WatchNow[][]> {
	const asked = lots.map((lot) => ({ lot, watches: watchesAsked(lot) }));
	const points = await readPoints(
		db,
		asked.flatMap(({ watches }) => watches),
	);
	const read = groupBy(points, ({ watch }) => watch);
	return asked.map(({ lot, watches }) =>
		watchesNow(
			lot,
			watches.flatMap(({ watch }) => read[watch] ?? []),
			now,
		),
	);
}
