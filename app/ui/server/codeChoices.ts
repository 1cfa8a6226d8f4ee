import { HOUSE_CODE_KEYS, HOUSE_CODES } from "#core/safety";
import { type Database, readOwnCodes } from "#db";

export interface CodeChoice {
	readonly key: string;
	readonly name: string;
}

/** The codes that may be chosen: the house's own first, then the presets. */
export async function codeChoices(db: Database): Promise<CodeChoice[]> {
	const own = await readOwnCodes(db);
	return [
		...own.map(({ id, name }) => ({ key: id, name: `${name} (our own)` })),
		...HOUSE_CODE_KEYS.map((key) => ({ key, name: HOUSE_CODES[key].name })),
	];
}
