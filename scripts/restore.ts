/**
 * `npm run -s restore`: puts the newest copy in the place of the house's database, or the copy that is
 * named; with Wide Table stopped. What was there is kept.
 */
import { join, resolve } from "node:path";
import { copiesIn, restore, Unopened } from "#db";
import { copiesFolder, readConfig } from "../server/config.ts";

try {
	const config = readConfig(process.env);
	const folder = copiesFolder(config);
	const [newest] = await copiesIn(folder);
	const [named] = process.argv.slice(2);
	const copy = named ? resolve(named) : newest && join(folder, newest);
	if (!copy) throw new Unopened(`There is no copy in ${folder}. Name one: npm run -s restore -- FILE`);
	const kept = await restore(copy, config.DATABASE_URL, folder);
	console.log(`Brought back: ${copy}`);
	if (kept) console.log(`What was there is kept: ${kept}`);
} catch (error) {
	if (!(error instanceof Error)) throw error;
	console.error(error instanceof Unopened ? error.message : `Nothing was brought back. ${error.message}`);
	process.exit(1);
}
