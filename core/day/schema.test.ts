import { readFileSync } from "node:fs";
import { expect, it } from "vitest";
import { DayFile } from "./index.ts";

it("the schema of the day that is given out is the one its file is held against", () => {
	const given = JSON.parse(readFileSync("docs/formats/day.schema.json", "utf8"));
	expect(given).toEqual(JSON.parse(JSON.stringify(DayFile)));
});
