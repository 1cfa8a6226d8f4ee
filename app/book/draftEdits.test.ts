import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Draft, emptyDraft, emptyLine } from "#core/recipe";
import { GROUPS } from "#core/trade";
import {
	addLine,
	addStep,
	changeLine,
	inGroups,
	inOneLine,
	moveLine,
	moveStep,
	placeLine,
	removeLine,
	removeStep,
} from "./draftEdits.ts";
import { draftIn, edited } from "./draftForm.ts";

const line = (key: string, group: (typeof GROUPS)[number]) => ({
	...emptyLine(key, group),
	text: `1 kg ${key}`,
});
const DRAFT: Draft = {
	...emptyDraft("dish"),
	lines: [line("a", "base"), line("b", "base"), line("c", "liquid"), line("d", "finish")],
};
const keys = (draft: Draft) => inGroups(draft.lines).map(({ key, group }) => `${key}:${group}`);
const anyKey = fc.constantFrom("a", "b", "c", "d");

describe("the lines of a draft", () => {
	it("what was pasted over several lines is one line, and spaces within it stay", () => {
		expect(inOneLine("500 g onions,\r\n  large dice\n")).toBe("500 g onions, large dice ");
		expect(inOneLine("2 1/2 kg pork  collar")).toBe("2 1/2 kg pork  collar");
	});

	it("a new line stands after the one it was asked for, or at the end of its group", () => {
		const after = addLine(DRAFT, "base", "a");
		expect(keys(after.draft)).toEqual(["a:base", `${after.key}:base`, "b:base", "c:liquid", "d:finish"]);
		const last = addLine(DRAFT, "liquid");
		expect(keys(last.draft)[3]).toBe(`${last.key}:liquid`);
		expect(keys(addLine(DRAFT, "garnish").draft).at(-1)).toMatch(/:garnish$/);
	});

	it("never gives a key twice", () => {
		let draft = DRAFT;
		for (let step = 0; step < 30; step += 1)
			draft = step % 3 === 0 ? addStep(draft).draft : addLine(draft, "base").draft;
		const all = [...draft.lines, ...draft.steps].map(({ key }) => key);
		expect(new Set(all).size).toBe(all.length);
	});

	it("moved down past the edge of its group joins the next one, and comes back", () => {
		const moved = moveLine(DRAFT, "b", 1);
		expect(keys(moved)).toEqual(["a:base", "b:liquid", "c:liquid", "d:finish"]);
		expect(keys(moveLine(moved, "b", -1))).toEqual(keys(DRAFT));
	});

	it("at the very top and bottom stays where it is", () => {
		expect(moveLine(DRAFT, "a", -1)).toBe(DRAFT);
		let draft = DRAFT;
		for (let step = 0; step < 9; step += 1) draft = moveLine(draft, "d", 1);
		expect(keys(draft).at(-1)).toBe("d:side");
	});

	it("moving never loses or doubles a line", () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(anyKey, fc.constantFrom(-1 as const, 1 as const)), { maxLength: 30 }),
				(moves) => {
					const moved = moves.reduce((draft, [key, by]) => moveLine(draft, key, by), DRAFT);
					expect(moved.lines.map(({ key }) => key).sort()).toEqual(["a", "b", "c", "d"]);
				},
			),
		);
	});

	it("put anywhere, stands there", () => {
		fc.assert(
			fc.property(anyKey, fc.constantFrom(...GROUPS), fc.nat(6), (key, group, index) => {
				const placed = placeLine(DRAFT, key, group, index);
				expect(placed.lines).toHaveLength(4);
				const there = inGroups(placed.lines).filter((candidate) => candidate.group === group);
				expect(there[Math.min(index, there.length - 1)]?.key).toBe(key);
			}),
		);
	});

	it("a change of one leaves the others the very same", () => {
		const changed = changeLine(DRAFT, "b", { role: "side" });
		expect(changed.lines[0]).toBe(DRAFT.lines[0]);
		expect(changed.lines[1]).toMatchObject({ key: "b", role: "side" });
	});
});

describe("the steps of a draft", () => {
	it("are added after one at its place, moved and removed", () => {
		const first = addStep({ ...DRAFT, steps: [] });
		const second = addStep(first.draft, first.key);
		expect(second.draft.steps.map(({ key }) => key)).toEqual([first.key, second.key]);
		const moved = moveStep(second.draft, second.key, -1);
		expect(moved.steps.map(({ key }) => key)).toEqual([second.key, first.key]);
		expect(moveStep(moved, second.key, -1)).toBe(moved);
		expect(removeStep(moved, second.key).steps.map(({ key }) => key)).toEqual([first.key]);
	});
});

/** A draft as the fields of its page. */
function formOf(draft: Draft): FormData {
	const form = new FormData();
	form.set("kind", draft.kind);
	for (const [field, value] of Object.entries(draft.fields)) form.set(`field.${field}`, value);
	for (const { key, ...rest } of draft.lines) {
		form.append("line", key);
		for (const [field, value] of Object.entries(rest)) form.set(`line.${key}.${field}`, String(value));
	}
	for (const { key, ...rest } of draft.steps) {
		form.append("step", key);
		for (const [field, value] of Object.entries(rest)) form.set(`step.${key}.${field}`, String(value));
	}
	for (const [question, answer] of Object.entries(draft.schools)) form.set(`chosen.${question}`, answer);
	return form;
}

describe("the page of a draft as a form", () => {
	it("reads back as the draft it shows", () => {
		const draft: Draft = { ...addStep(DRAFT).draft, schools: { flour: "starch", service: "madeAhead" } };
		expect(draftIn(formOf(draft))).toEqual(draft);
	});

	it("does without scripts what its buttons say", () => {
		expect(edited(DRAFT, "addLine:liquid").lines).toHaveLength(5);
		expect(edited(DRAFT, "addStep").steps).toHaveLength(DRAFT.steps.length + 1);
		expect(edited(DRAFT, "remove:line:b")).toEqual(removeLine(DRAFT, "b"));
		expect(edited(DRAFT, "moveDown:line:b")).toEqual(moveLine(DRAFT, "b", 1));
		expect(edited(DRAFT, "save")).toBe(DRAFT);
	});

	it("is refused when it is no draft, by the field", () => {
		expect(() => draftIn(new FormData())).toThrow(/kind/);
		const form = formOf(DRAFT);
		form.set("line.a.role", "magic");
		expect(() => draftIn(form)).toThrow(/lines\[0\]\.role: .*magic/);
	});
});
