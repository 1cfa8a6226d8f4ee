import { gunzipSync, gzipSync } from "node:zlib";
import { LRUCache } from "lru-cache";
import { readBack, thawedDay, type WorkedDay, type WrittenDay, writtenDown } from "#core/day";
import type { Kitchen } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import {
	type Database,
	type DayIssueRow,
	type DishWithRecipe,
	readFigures,
	readIssue,
	type Sitting,
} from "#db";
import type { WorkedDate, WorkedRow, WorkedSitting } from "./worked.server.ts";

/** What a number covers: its day and its sittings, with every figure as it was issued. */
export interface FrozenDate {
	readonly issue: DayIssueRow;
	/** Null for a number from before figures were frozen with it. */
	readonly figures: { readonly day: WorkedDay; readonly sittings: readonly WorkedSitting[] } | null;
}

/** As it is written down: figures of its dishes stand with the day. */
interface Written {
	readonly day: WrittenDay;
	readonly sittings: readonly {
		readonly sitting: Sitting;
		readonly kitchen: Kitchen;
		readonly rows: readonly {
			readonly dish: DishWithRecipe;
			readonly card: Recipe;
			readonly refused?: string;
		}[];
	}[];
}

/** All that the papers of a date are written from, compressed. */
export function frozenFigures({ day, sittings }: Pick<WorkedDate, "day" | "sittings">): Uint8Array {
	const written: Written = {
		day,
		sittings: sittings.map(({ sitting, kitchen, rows }) => ({
			sitting,
			kitchen,
			rows: rows.map(({ dish, card, refused }) => ({
				dish,
				card,
				...(refused === undefined ? {} : { refused }),
			})),
		})),
	};
	return gzipSync(writtenDown(written));
}

const MOST_KEPT = 6;
const keptBy = new WeakMap<Database, LRUCache<number, FrozenDate>>();

/** What a number covers. @throws {Missing} when no day was issued under it */
export async function frozenDate(db: Database, number: number): Promise<FrozenDate> {
	const kept = keptBy.get(db) ?? new LRUCache<number, FrozenDate>({ max: MOST_KEPT });
	keptBy.set(db, kept);
	const found = kept.get(number) ?? (await readFrozen(db, number));
	kept.set(number, found);
	return found;
}

async function readFrozen(db: Database, number: number): Promise<FrozenDate> {
	const issue = await readIssue(db, number);
	const stored = await readFigures(db, number);
	if (stored === null) return { issue, figures: null };
	const written = readBack(gunzipSync(stored).toString("utf8")) as Written;
	const day = thawedDay(written.day);
	const sittings = written.sittings.map(({ rows, ...one }): WorkedSitting => {
		const read = rows.map(({ refused = "", ...row }): WorkedRow => {
			const plan = day.dishes.get(row.dish.id);
			return plan ? { ...row, plan } : { ...row, refused };
		});
		return { ...one, rows: read, batches: day.batches.get(one.sitting.id) ?? [] };
	});
	return { issue, figures: { day, sittings } };
}
