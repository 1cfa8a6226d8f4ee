import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { keepPreferences, type Preferences, readPreferences } from "./preferences.ts";

const NONE = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" };

/** What a browser sends back of a `Set-Cookie`. */
const sentBack = (setCookie: string) => setCookie.split(";")[0] ?? "";

const anyPreferences: fc.Arbitrary<Preferences> = fc.record(
	{
		who: fc.string({ unit: "grapheme", minLength: 1, maxLength: 12 }).filter((name) => name.trim() !== ""),
		units: fc.constantFrom("metric" as const, "us" as const),
		light: fc.constantFrom("bench" as const, "evening" as const),
		shortKeys: fc.boolean(),
		paper: fc.constantFrom("A4" as const, "Letter" as const),
		clockHours: fc.constantFrom("24" as const, "12" as const),
	},
	{ requiredKeys: ["light", "shortKeys", "paper", "clockHours"] },
);

describe("what is chosen at this desk", () => {
	it("comes back as it was kept", async () => {
		await fc.assert(
			fc.asyncProperty(anyPreferences, async (chosen) => {
				expect(
					await readPreferences(sentBack(await keepPreferences(chosen, { url: "http://skerry/" }))),
				).toEqual(chosen);
			}),
		);
	});

	it("is out of reach of scripts and of other sites", async () => {
		const kept = await keepPreferences(
			{ light: "bench", shortKeys: true, paper: "A4", clockHours: "24" },
			{ url: "http://skerry/" },
		);
		expect(kept).toMatch(/HttpOnly/i);
		expect(kept).toMatch(/SameSite=Lax/i);
	});

	it("no cookie, or one that does not hold, is the usual", async () => {
		expect(await readPreferences(null)).toEqual(NONE);
		const odd = Buffer.from(JSON.stringify({ light: "lantern", paper: 3 })).toString("base64");
		for (const header of ["preferences=", "preferences=%%%", `preferences=${odd}`, "other=1"]) {
			expect(await readPreferences(header)).toEqual(NONE);
		}
	});

	it("never breaks on anything a browser sends", async () => {
		await fc.assert(
			fc.asyncProperty(fc.string({ maxLength: 200 }), async (junk) => {
				expect(await readPreferences(`preferences=${junk}`)).toMatchObject({ paper: "A4", clockHours: "24" });
			}),
		);
	});
});

it("what else was sent along is not kept, however much it is", async () => {
	const sent = { ...(await readPreferences(null)), [`--x${"name".repeat(3000)}`]: "y" };
	const header = await keepPreferences(sent, { url: "http://house/" });
	expect(header.length).toBeLessThan(500);
	expect(await readPreferences(header)).toEqual(await readPreferences(null));
});
