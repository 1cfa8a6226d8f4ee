import {
	eventsSince,
	namesOfVersions,
	type Reader,
	readPanTypes,
	readSitting,
	type Sitting,
	type StoredEvent,
} from "#db";

/** Changes of a sitting that are looked back on, to put back what was taken off. */
const LOOKED_BACK = 6;

/** The last changes of a sitting, oldest first. */
export function lastEvents(
	db: Reader,
	{ id, version }: Pick<Sitting, "id" | "version">,
): Promise<StoredEvent[]> {
	return eventsSince(db, "sitting", id, version - LOOKED_BACK);
}

/** What short names in the record of the house mean: its kinds of pans. */
export async function panNames(db: Reader): Promise<ReadonlyMap<string, string>> {
	return new Map((await readPanTypes(db)).map(({ id, name }) => [id, name]));
}

/** What short names in the record of a sitting mean: its dishes, versions of recipes, kinds of pans. */
export async function sittingNames(db: Reader, id: string): Promise<ReadonlyMap<string, string>> {
	const sitting = await readSitting(db, id);
	const events = await lastEvents(db, sitting);
	const versionOfDish = new Map(sitting.dishes.map((dish) => [dish.id, dish.recipeVersionId]));
	for (const { field, from, to } of events.flatMap(({ changes }) => changes)) {
		const [, dish = "", name] = field.split(".");
		if (name === "recipeVersionId" && !versionOfDish.has(dish)) versionOfDish.set(dish, String(to ?? from));
	}
	const versions = events.flatMap(({ changes }) =>
		changes.filter(({ field }) => field.endsWith(".recipeVersionId")).flatMap(({ from, to }) => [from, to]),
	);
	const asked = [...versionOfDish.values(), ...versions.filter((value) => typeof value === "string")];
	const [names, pans] = await Promise.all([namesOfVersions(db, [...new Set(asked)]), panNames(db)]);
	return new Map([
		...pans,
		...[...names].map(([version, { name, number }]): [string, string] => [version, `${name}, no. ${number}`]),
		...[...versionOfDish].map(([dish, version]): [string, string] => [
			dish,
			names.get(version)?.name ?? "a dish",
		]),
	]);
}
