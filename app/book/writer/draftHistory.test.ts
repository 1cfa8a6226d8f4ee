import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Draft, emptyDraft } from "#core/recipe";
import { begun, type History, history, type Move, ONE_STEP_MS, STEPS } from "./draftHistory.ts";

const START = emptyDraft("dish");
const named = (name: string): Draft => ({ ...START, fields: { ...START.fields, name } });
const nameOf = ({ now }: History) => now.fields.name;
const change = (name: string, at: number, tag = ""): Move => ({
	type: "change",
	draft: named(name),
	tag,
	at,
});
const having = (...moves: readonly Move[]) => moves.reduce(history, begun(START));
const UNDO: Move = { type: "undo" };
const REDO: Move = { type: "redo" };

describe("undoing what was written", () => {
	it("goes back step by step and forth again", () => {
		const written = having(change("Neck", 0), change("Neck, kelp", 5000));
		expect(nameOf(history(written, UNDO))).toBe("Neck");
		expect(nameOf([UNDO, UNDO].reduce(history, written))).toBe("");
		expect(nameOf([UNDO, UNDO, REDO].reduce(history, written))).toBe("Neck");
		expect(nameOf([UNDO, UNDO, REDO, REDO].reduce(history, written))).toBe("Neck, kelp");
	});

	it("takes letters typed one after another into one field as one step", () => {
		const typed = having(
			...["N", "Ne", "Nec", "Neck"].map((name, index) => change(name, 1 + index * 300, "name")),
		);
		expect(typed.past).toHaveLength(1);
		expect(nameOf(history(typed, UNDO))).toBe("");
	});

	it("keeps two fields, and a pause in one, as steps of their own", () => {
		const paused = having(change("N", 1, "name"), change("Ne", 1 + ONE_STEP_MS, "name"));
		expect(paused.past).toHaveLength(2);
		const elsewhere = having(change("N", 1, "name"), change("Ne", 2, "summary"));
		expect(elsewhere.past).toHaveLength(2);
		const untagged = having(change("N", 1), change("Ne", 2));
		expect(untagged.past).toHaveLength(2);
	});

	it("forgets what was taken back once something else is written", () => {
		const other = having(change("Neck", 0), UNDO, change("Collar", 5000));
		expect(other.future).toEqual([]);
		expect(history(other, REDO)).toBe(other);
	});

	it("has nothing to take back at the start and nothing to bring back at the end", () => {
		const start = begun(START);
		expect(history(start, UNDO)).toBe(start);
		expect(history(start, REDO)).toBe(start);
	});

	it("is not lengthened by a change that changes nothing", () => {
		const written = having(change("Neck", 0));
		expect(history(written, { type: "change", draft: written.now, tag: "", at: 9000 })).toBe(written);
	});

	it("remembers so many steps and no more, the oldest forgotten first", () => {
		const long = having(
			...Array.from({ length: STEPS + 30 }, (_, step) => change(`no. ${step}`, step * 5000)),
		);
		expect(long.past).toHaveLength(STEPS);
		const back = Array.from({ length: STEPS + 30 }, () => UNDO).reduce(history, long);
		expect(nameOf(back)).toBe("no. 29");
	});

	it("as many steps back and as many forth end where they began, whatever was done", () => {
		const moves = fc.array(
			fc.oneof(
				{ weight: 3, arbitrary: fc.tuple(fc.string({ maxLength: 4 }), fc.nat(9)) },
				{ weight: 1, arbitrary: fc.constantFrom(UNDO, REDO) },
			),
			{ maxLength: 40 },
		);
		fc.assert(
			fc.property(moves, fc.nat(50), (given, steps) => {
				let at = 0;
				const done = given.map((move): Move => {
					at += 700;
					return Array.isArray(move) ? change(move[0], at, `field ${move[1]}`) : move;
				});
				const before = done.reduce(history, begun(START));
				const back = Math.min(steps, before.past.length);
				const there = Array.from({ length: back }, () => UNDO).reduce(history, before);
				const again = Array.from({ length: back }, () => REDO).reduce(history, there);
				expect(again.now).toBe(before.now);
				expect(again.past).toEqual(before.past);
				expect(again.future).toEqual(before.future);
			}),
		);
	});
});
