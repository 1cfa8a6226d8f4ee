import { beforeEach, describe, expect, it } from "vitest";
import { freshStore } from "./freshStore.testing.ts";
import { addTrainingAnswers, readTrainingAnswers, type Store } from "./index.ts";

let store: Store;
beforeEach(async () => {
	store = await freshStore();
});

const said = (answer: "same" | "more") => ({
	who: "Runa",
	seed: 4711,
	position: 1,
	judged: [
		{ change: "paper", quantity: "time", said: answer, was: "same" },
		{ change: "paper", quantity: "salt", said: answer, was: "more" },
	] as const,
});

describe("the record of training rounds", () => {
	it("is kept by the cook's name, in the order in which it was said", async () => {
		await addTrainingAnswers(store, said("same"));
		await addTrainingAnswers(store, { ...said("more"), position: 2 });
		await addTrainingAnswers(store, { ...said("more"), who: "Odd" });
		const answers = await readTrainingAnswers(store.db, "Runa");
		expect(answers.map(({ position, quantity, said: answer }) => [position, quantity, answer])).toEqual([
			[1, "time", "same"],
			[1, "salt", "same"],
			[2, "time", "more"],
			[2, "salt", "more"],
		]);
	});

	it("sent twice, the first answer holds and nothing is counted twice", async () => {
		await addTrainingAnswers(store, said("same"));
		await addTrainingAnswers(store, said("more"));
		const answers = await readTrainingAnswers(store.db, "Runa");
		expect(answers).toHaveLength(2);
		expect(answers.every(({ said: answer }) => answer === "same")).toBe(true);
	});

	it("of a cook who has not begun is empty", async () => {
		expect(await readTrainingAnswers(store.db, "Nobody")).toEqual([]);
	});
});
