import { describe, expect, it } from "vitest";
import { refuse } from "#core/check";
import { Stale } from "#db";
import { readingIn } from "../words/reading.ts";
import { doneOrSaid } from "./said.server.ts";

const READING = readingIn("metric", "UTC", 0);
const TYPED = { covers: "lots" };
const answer = (act: () => Promise<unknown>) => doneOrSaid(TYPED, READING, act);

describe("a change that is asked for", () => {
	it("is carried out, and its own answer given", async () => {
		expect(await answer(async () => "done")).toBe("done");
	});

	it("that does not hold is answered with 400, the field and what was typed", async () => {
		const said = await answer(async () => {
			throw refuse("covers", "“lots” was given; a whole number is allowed");
		});
		expect(said).toMatchObject({
			init: { status: 400 },
			data: { typed: TYPED, wrong: { covers: "“lots” was given; a whole number is allowed" }, stale: null },
		});
	});

	it("that comes second is answered with 409, who was quicker and what was typed", async () => {
		const change = { field: "covers", from: 140, to: 160 };
		const event = {
			id: 1,
			at: 60_000,
			who: "Ada",
			subject: "sitting" as const,
			subjectId: "s",
			what: "changed" as const,
			version: 4,
			changes: [change],
		};
		const said = await answer(async () => {
			throw new Stale(4, [event]);
		});
		expect(said).toMatchObject({
			init: { status: 409 },
			data: {
				typed: TYPED,
				wrong: {},
				stale: { version: 4, changes: [{ who: "Ada", what: "covers: 140 → 160" }] },
			},
		});
	});

	it("that breaks is not made an answer of", async () => {
		await expect(
			answer(async () => {
				throw new Error("the disk is full");
			}),
		).rejects.toThrow("the disk is full");
	});
});
