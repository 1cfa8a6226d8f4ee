import { gunzipSync, gzipSync } from "node:zlib";
import {
	readBack,
	thawedDay,
	type WorkedBatch,
	type WorkedDay,
	type WorkedDish,
	type WrittenDay,
	writtenDown,
} from "#core/day";
import type { Kitchen } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import type { DishWithRecipe, Sitting } from "#db";

interface RowOf {
	/** With its recipe as it is cooked. */
	readonly dish: DishWithRecipe;
	/** The recipe as the book has it. */
	readonly card: Recipe;
}

/** A dish of a sitting as its day has it. */
export type WorkedRow = RowOf &
	(
		| { readonly plan: WorkedDish; readonly refused?: undefined }
		/** Why it is not planned, in a sentence for the chef. */
		| { readonly plan?: undefined; readonly refused: string }
	);

/** A sitting as its day has it. */
export interface WorkedSitting {
	readonly sitting: Sitting;
	readonly kitchen: Kitchen;
	readonly rows: readonly WorkedRow[];
	readonly batches: readonly WorkedBatch[];
}

/** A placed date with its sittings. */
export interface DateOnPaper {
	readonly day: WorkedDay;
	readonly sittings: readonly WorkedSitting[];
}

/** As it is written down: figures of its dishes stand with the day. */
interface Written {
	readonly day: WrittenDay;
	readonly sittings: readonly {
		readonly sitting: Sitting;
		readonly kitchen: Kitchen;
		readonly rows: readonly (RowOf & { readonly refused?: string })[];
	}[];
}

/** All that pages and papers of a placed date are written from, compressed. */
export function writtenDate({ day, sittings }: DateOnPaper): Uint8Array {
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

/** A placed date that was written down, figure for figure as it was. */
export function readDate(stored: Uint8Array): DateOnPaper {
	const written = readBack(gunzipSync(stored).toString("utf8")) as Written;
	const day = thawedDay(written.day);
	const sittings = written.sittings.map(({ rows, ...one }): WorkedSitting => {
		const read = rows.map(({ refused = "", ...row }): WorkedRow => {
			const plan = day.dishes.get(row.dish.id);
			return plan ? { ...row, plan } : { ...row, refused };
		});
		return { ...one, rows: read, batches: day.batches.get(one.sitting.id) ?? [] };
	});
	return { day, sittings };
}
