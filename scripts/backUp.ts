/** `npm run -s backup`: a copy of the house's database, whole as of this moment, beside the others. */
import { backUp, Unopened } from "#db";
import { copiesFolder, readConfig } from "../server/config.ts";

try {
	const config = readConfig(process.env);
	console.log(await backUp(config.DATABASE_URL, copiesFolder(config), config.WT_COPIES_KEPT));
} catch (error) {
	if (!(error instanceof Error)) throw error;
	console.error(error instanceof Unopened ? error.message : `No copy was made. ${error.message}`);
	process.exit(1);
}
