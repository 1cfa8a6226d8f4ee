import { createClient } from "@libsql/client";
import { expect, type House, test } from "./house.ts";

test.use({ houseOf: "old-data" });

/**
 * A page that is not there after so long counts as planned to death, ms. A plan is given up by the
 * server before that, with words; on a busy machine the first page waits for its thread to start.
 */
const AT_MOST_MS = 40_000;

interface Spoilt {
	readonly recipe: string;
	readonly name: string;
	readonly sitting: string;
	readonly dish: string;
	readonly pan: string;
	readonly day: string;
}

/** Writes past every form what no form lets through: as if it were from before there were limits. */
async function spoil(house: House): Promise<Spoilt> {
	await house.stop();
	const client = createClient({ url: `file:${house.database}` });
	const [row] = (
		await client.execute(
			`SELECT sitting.service_at AS served, version.recipe_id AS recipe, json_extract(version.doc, '$.name') AS name, dish.sitting_id AS sitting, dish.id AS dish
			FROM sitting_dish AS dish JOIN recipe_version AS version ON version.id = dish.recipe_version_id
			JOIN sitting ON sitting.id = dish.sitting_id
			WHERE json_extract(version.doc, '$.piece.shape') = 'block' LIMIT 1`,
		)
	).rows;
	if (!row) throw new Error("nothing is planned");
	await client.execute("DROP TRIGGER recipe_version_is_never_changed");
	await client.execute({
		sql: `UPDATE recipe_version SET doc = json_set(doc, '$.piece.height_mm', 0.1, '$.piece.length_mm', 0.0003, '$.piece.weight_g', 0.000001) WHERE recipe_id = ?`,
		args: [row.recipe ?? null],
	});
	const [pan] = (await client.execute(`SELECT id FROM pan_type WHERE "use" = 'braise' LIMIT 1`)).rows;
	await client.execute({
		sql: "UPDATE pan_type SET kind = 'box', gn = NULL, length_mm = 90000000, width_mm = 90000000, stock = 90000000 WHERE id = ?",
		args: [pan?.id ?? null],
	});
	await client.execute("UPDATE oven SET rungs = 2000000000, max_c = -4000");
	client.close();
	await house.start();
	return {
		recipe: `/book/${row.recipe}`,
		name: String(row.name),
		sitting: `/sittings/${row.sitting}`,
		dish: `/sittings/${row.sitting}/dishes/${row.dish}`,
		pan: `/kitchen/pans/${pan?.id}`,
		day: `/day/${new Date(Number(row.served)).toISOString().slice(0, 10)}`,
	};
}

test("data that breaks a limit is shown by its name and never planned to death", async ({ house }) => {
	const { recipe, name, sitting, dish, pan, day } = await spoil(house);
	const named = [
		sitting,
		dish,
		`${dish}?place=panUp`,
		`${dish}?covers=150`,
		`${dish}/sheet`,
		`${dish}/labels`,
		`${dish}/cutting`,
		`${sitting}/order`,
		day,
		`${recipe}/versions`,
		"/book",
	];
	// A card is its plan: it says why there is none.
	const cards = [recipe, `${recipe}?basis=covers&size=40`, `${recipe}/cost`, `${recipe}/print`];
	const others = [
		"/",
		`${recipe}/write`,
		`${dish}/more-pans.data`,
		`${sitting}/order.xlsx`,
		"/book/export/book.json",
		"/kitchen",
		"/kitchen/house",
		pan,
		"/lab",
	];
	for (const path of [...named, ...cards, ...others]) {
		const answer = await fetch(house.url + path, { signal: AbortSignal.timeout(AT_MOST_MS) });
		const text = await answer.text();
		expect(`${path} ${answer.status}`).toBe(`${path} ${cards.includes(path) ? 422 : 200}`);
		if (!others.includes(path)) expect(text, path).toContain(name.split(",", 1)[0]);
	}
	const table = await (await fetch(house.url + dish)).text();
	expect(table).toContain("this version breaks a limit and is not planned");
	const card = await (await fetch(house.url + recipe)).text();
	expect(card).toContain("this version breaks a limit and is not planned");
	const kitchen = await (await fetch(`${house.url}/kitchen`)).text();
	expect(kitchen).toContain("breaks a limit");
	expect(await (await fetch(`${house.url}/healthz`)).text()).toBe("ok");
});
