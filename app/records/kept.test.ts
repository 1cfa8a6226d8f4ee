import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dropFrom, type Kept, keepOn, keptForm, keptOn, MOST_KEPT, type Shelf, sendKept } from "./kept.ts";

function shelfOf(content = new Map<string, string>()): Shelf {
	return {
		getItem: (name) => content.get(name) ?? null,
		setItem: (name, text) => void content.set(name, text),
		removeItem: (name) => void content.delete(name),
	};
}

const kept = (clientId: string): Kept => ({
	clientId,
	path: "/records/lots/1",
	fields: [["C", "41.5"]],
	words: "41.5 at 14:05",
});

describe("what is written while nobody answers", () => {
	it("is sent in the order in which it was written, and each once, wherever the line breaks off", async () => {
		await fc.assert(
			fc.asyncProperty(fc.integer({ min: 0, max: 12 }), fc.array(fc.nat(4)), async (count, breaks) => {
				const shelf = shelfOf();
				const names = Array.from({ length: count }, (_, index) => `entry-${index}`);
				for (const name of names) expect(keepOn(shelf, kept(name))).toBe(true);
				const taken: string[] = [];
				for (const answered of [...breaks, count]) {
					let left = answered;
					await sendKept(shelf, async ({ clientId }) => {
						if (left === 0) return "waits";
						left -= 1;
						taken.push(clientId);
						return "taken";
					});
				}
				expect(taken).toEqual(names);
				expect(keptOn(shelf)).toEqual([]);
			}),
		);
	});

	it("is told when the house would not have it, and holds up nothing behind it", async () => {
		const shelf = shelfOf();
		for (const name of ["one", "two", "three"]) keepOn(shelf, kept(name));
		const not = await sendKept(shelf, async ({ clientId }) => (clientId === "two" ? "refused" : "taken"));
		expect(not.map(({ clientId }) => clientId)).toEqual(["two"]);
		expect(keptOn(shelf)).toEqual([]);
	});

	it("carries the moment at which it was written, unless another was typed", () => {
		const form = new FormData();
		for (const [name, value] of [
			["intent", "read"],
			["C", "41.5"],
			["clientId", "a-name-1"],
			["date", ""],
			["time", ""],
		])
			form.set(name as string, value as string);
		const now = Date.UTC(2026, 10, 28, 14, 5, 20);
		const one = keptForm("/records/lots/1?watch=2", form, now, "Atlantic/Faroe");
		expect(one?.fields).toContainEqual(["keptAt", String(now)]);
		expect(one?.words).toBe("41.5 at 14:05");
		form.set("time", "13:40");
		const typed = keptForm("/records/lots/1", form, now, "Atlantic/Faroe");
		expect(typed?.fields).toContainEqual(["time", "13:40"]);
		expect(typed?.fields.some(([name]) => name === "keptAt")).toBe(false);
		expect(typed?.words).toBe("41.5 at 13:40");
		form.delete("clientId");
		expect(keptForm("/records/lots/1", form, now, "Atlantic/Faroe")).toBeNull();
	});

	it("is bounded, and a shelf that is shut or spoiled stops nobody", () => {
		const shelf = shelfOf();
		for (let index = 0; index < MOST_KEPT; index += 1) keepOn(shelf, kept(`entry-${index}`));
		expect(keepOn(shelf, kept("one too many"))).toBe(false);
		dropFrom(shelf, "entry-0");
		expect(keptOn(shelf)).toHaveLength(MOST_KEPT - 1);
		expect(keptOn(shelfOf(new Map([["wide-table kept", "{"]])))).toEqual([]);
		expect(keptOn(shelfOf(new Map([["wide-table kept", '[{"path":1}]']])))).toEqual([]);
		const shut = {
			...shelfOf(),
			setItem: () => {
				throw new Error("full");
			},
		};
		expect(keepOn(shut, kept("entry-0"))).toBe(false);
	});
});
