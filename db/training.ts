import { asc, eq } from "drizzle-orm";
import type { Judged } from "#core/training";
import type { Reader, Store } from "./Store.ts";
import { trainingAnswer } from "./schema.ts";

/** One situation of a round, answered. */
export interface TrainingAnswers {
	readonly who: string;
	readonly seed: number;
	readonly position: number;
	readonly judged: readonly Judged[];
}

/** Writes down what a cook said of a situation; said twice, the first holds. */
export function addTrainingAnswers(
	store: Store,
	{ who, seed, position, judged }: TrainingAnswers,
): Promise<void> {
	return store.write(async (tx) => {
		const rows = judged.map((answered) => ({ ...answered, who, seed, position }));
		await tx.insert(trainingAnswer).values(rows).onConflictDoNothing();
	});
}

/** Everything a cook has judged so far, oldest first, with where it was asked. */
export function readTrainingAnswers(db: Reader, who: string) {
	return db.select().from(trainingAnswer).where(eq(trainingAnswer.who, who)).orderBy(asc(trainingAnswer.id));
}
