import { readFile } from "node:fs/promises";
import { basename, resolve } from "node:path";
import { Refusal } from "#core/check";
import { addRecipe, type Store, Unopened } from "#db";
import { readConfig } from "../server/config.ts";
import { openStore } from "../server/openStore.ts";

/** Adds recipe files to the book: `npm run -s recipe -- FILE…`. The file's name is the recipe's address. */

const files = process.argv.slice(2);
if (files.length === 0) {
	console.error("npm run -s recipe -- FILE… (see docs/formats/recipe.md)");
	process.exit(2);
}

try {
	await add(files);
} catch (error) {
	if (!(error instanceof Refusal || error instanceof Unopened)) throw error;
	console.error(error.message);
	process.exitCode = 1;
}

async function add(files: readonly string[]): Promise<void> {
	const config = readConfig(process.env);
	const store = await openStore(config);
	for (const file of files) await addOne(store, file);
	await store.close();
}

async function addOne(store: Store, file: string): Promise<void> {
	const id = basename(file, ".json");
	if (!/^[a-z0-9-]{1,60}$/.test(id)) {
		throw new Refusal([
			{ field: file, message: "the name of the file becomes the address; a to z, 0 to 9 and - are allowed" },
		]);
	}
	const { number, added } = await addRecipe(store, id, await readDoc(file), { who: "recipe file" });
	console.log(
		added
			? `${id}: standard no. ${number} is in the book.`
			: `${id}: the book has this already, as no. ${number}.`,
	);
}

async function readDoc(file: string): Promise<unknown> {
	try {
		return JSON.parse(await readFile(resolve(process.env.INIT_CWD ?? ".", file), "utf8"));
	} catch (error) {
		throw new Refusal([
			{ field: file, message: `cannot be read as JSON (${error instanceof Error ? error.message : error})` },
		]);
	}
}
