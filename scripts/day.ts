import { dayJson } from "#core/day";
import { readKitchen, Unopened } from "#db";
import { datesShown, refusedIn } from "../app/ui/server/worked.server.ts";
import { readConfig } from "../server/config.ts";
import { openStore } from "../server/openStore.ts";

/** Prints the day as JSON: `npm run -s day -- FROM TO`, dates of the house, the second included. */

const [from = "", to = from] = process.argv.slice(2);
if (!isDate(from) || !isDate(to) || from > to) {
	console.error("npm run -s day -- FROM TO, each as 2026-12-04, the first no later than the second");
	process.exit(2);
}

try {
	const store = await openStore(readConfig(process.env));
	const { policy } = await readKitchen(store.db, []);
	const { day, served } = await datesShown(store.db, from, to);
	await store.close();
	for (const { dish, why } of refusedIn(served)) console.error(`${dish} is not planned: ${why}`);
	console.log(JSON.stringify(dayJson(day, from, to, policy), null, 2));
} catch (error) {
	if (!(error instanceof Unopened)) throw error;
	console.error(error.message);
	process.exitCode = 1;
}

function isDate(text: string): boolean {
	return /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text));
}
