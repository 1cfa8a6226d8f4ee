import { Refusal } from "#core/check";
import { audit, Unopened } from "#db";
import { readConfig } from "../server/config.ts";
import { openStore } from "../server/openStore.ts";

/** `npm run audit`: walks the chains of the record, and says what was altered, removed or put elsewhere. */

const WORDS = { altered: "was altered", removed: "was removed", twice: "stands out of its order" } as const;
const MOST_SAID = 20;

try {
	const store = await openStore(readConfig(process.env));
	const audited = await audit(store.db);
	await store.close();
	for (const { chain, rows, head, breaks } of audited) {
		const name = chain === "record" ? "Record" : "Readings";
		console.log(`${name}: ${rows.toLocaleString("en-GB")} rows, last hash ${head}`);
		if (breaks.length === 0) console.log("  as they were written");
		for (const { number, because } of breaks.slice(0, MOST_SAID))
			console.log(`  row ${number} ${WORDS[because]}`);
		if (breaks.length > MOST_SAID) console.log(`  and ${breaks.length - MOST_SAID} more`);
	}
	process.exitCode = audited.some(({ breaks }) => breaks.length > 0) ? 1 : 0;
} catch (error) {
	if (!(error instanceof Refusal || error instanceof Unopened)) throw error;
	console.error(error.message);
	process.exitCode = 2;
}
