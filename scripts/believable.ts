import { writeFileSync } from "node:fs";
import { resolve } from "node:path";
import { believableTable } from "./believable/table.ts";

/** Writes docs/believable.md: every dish of the demonstration at three sizes, against what a chef would accept. */
const { text, amiss } = await believableTable();
writeFileSync(resolve("docs/believable.md"), text);
for (const line of amiss) console.error(line);
console.log(
	amiss.length === 0
		? "docs/believable.md: every figure within its bounds"
		: `${amiss.length} figures out of bounds`,
);
process.exit(amiss.length === 0 ? 0 : 1);
