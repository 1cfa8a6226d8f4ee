import { describe, expect, it } from "vitest";
import { NewestQuestion } from "./NewestQuestion.ts";

/** A worker whose answers come when the test lets them. */
function slowly() {
	const told: string[] = [];
	const waiting: { readonly asked: number; readonly done: (fails: boolean) => Promise<void> }[] = [];
	const question = new NewestQuestion<number, number>(
		(asked) =>
			new Promise((resolve, reject) => {
				const done = async (fails: boolean) => {
					if (fails) reject(new Error(`failed at ${asked}`));
					else resolve(asked * 2);
					await new Promise((next) => setTimeout(next, 0));
				};
				waiting.push({ asked, done });
			}),
		{
			onBusy: () => told.push("busy"),
			onAnswer: (result) => told.push(String(result)),
			onIdle: () => told.push("idle"),
			onFailed: (error) => told.push(String(error)),
		},
	);
	const answer = (fails = false) => waiting.shift()?.done(fails);
	return { question, told, waiting, answer };
}

describe("questions to a worker", () => {
	it("are put one at a time, and of those that wait only the newest", async () => {
		const { question, told, waiting, answer } = slowly();
		for (const asked of [1, 2, 3, 4]) question.ask(asked);
		expect(waiting.map(({ asked }) => asked)).toEqual([1]);
		await answer();
		expect(waiting.map(({ asked }) => asked)).toEqual([4]);
		await answer();
		expect(told).toEqual(["busy", "2", "8", "idle"]);
	});

	it("go on after one has failed", async () => {
		const { question, told, answer } = slowly();
		question.ask(1);
		await answer(true);
		expect(told).toEqual(["busy", "Error: failed at 1"]);
		question.ask(5);
		await answer();
		expect(told.slice(2)).toEqual(["busy", "10", "idle"]);
	});

	it("that wait behind one that fails are put all the same", async () => {
		const { question, told, answer } = slowly();
		question.ask(1);
		question.ask(2);
		await answer(true);
		await answer();
		expect(told).toEqual(["busy", "4", "idle"]);
	});

	it("are told nothing once they are stopped", async () => {
		const { question, told, answer } = slowly();
		question.ask(1);
		question.stop();
		await answer();
		expect(told).toEqual(["busy"]);
	});
});
