import { type Client, createClient, type Row } from "@libsql/client";
import { expect, type House, test } from "./house.ts";

test.use({ houseOf: "heavy" });

/** Ingredients that are taken in at once: some in every test, many in the soak. */
const INGREDIENTS = Number(process.env.WT_HEAVY ?? 1000);
const MANY = INGREDIENTS > 10_000;
/** Dishes of a sitting, its covers, and kinds of pans there are. */
const DISHES = MANY ? 12 : 2;
const COVERS = MANY ? 1200 : 200;
const KINDS = MANY ? 40 : 3;
/** Between two looks at the health of the server, ms. */
const EVERY_MS = 20;

test("heavy work: the server answers meanwhile, and what is left or too long is stopped", async ({
	house,
}) => {
	test.setTimeout(600_000);
	const client = createClient({ url: `file:${house.database}` });
	const sitting = await bigSitting(client);
	await manyPans(client);
	const [dish] = (
		await client.execute({ sql: "SELECT id FROM sitting_dish WHERE sitting_id = ?", args: [sitting] })
	).rows;
	const pulse = listen(house);
	const answers = await Promise.all([
		takeIn(house),
		timed(`${DISHES} dishes for ${COVERS}`, `${house.url}/sittings/${sitting}`),
		timed(
			`one more pan of ${KINDS} kinds`,
			`${house.url}/sittings/${sitting}/dishes/${dish?.id}/more-pans.data`,
		),
	]);
	const { worst_ms, p99_ms, count } = await pulse.end();
	console.log(
		`heavy work: ${answers.join("; ")}; health asked ${count} times meanwhile, 99 of 100 within ${p99_ms.toFixed(0)} ms, the slowest ${worst_ms.toFixed(0)} ms`,
	);
	const { rows } = await client.execute(
		"SELECT count(*) AS many FROM ingredient WHERE name LIKE 'bulk thing %'",
	);
	client.close();
	expect(Number(rows[0]?.many)).toBe(INGREDIENTS);
	expect(count).toBeGreaterThan(10);
});

/** Asks for the health of the server again and again. */
function listen(house: House) {
	const took: number[] = [];
	let on = true;
	const asking = (async () => {
		while (on) {
			const since = performance.now();
			const answer = await fetch(`${house.url}/healthz`);
			expect(await answer.text()).toBe("ok");
			took.push(performance.now() - since);
			await new Promise((done) => setTimeout(done, EVERY_MS));
		}
	})();
	return {
		async end() {
			on = false;
			await asking;
			const sorted = took.sort((a, b) => a - b);
			return {
				count: sorted.length,
				worst_ms: sorted.at(-1) ?? 0,
				p99_ms: sorted[Math.floor(sorted.length * 0.99)] ?? 0,
			};
		},
	};
}

/** Gives a table of ingredients, looks at it, and takes it in. */
async function takeIn(house: House): Promise<string> {
	const lines = Array.from(
		{ length: INGREDIENTS },
		(_, index) => `bulk-${index},"bulk thing ${index}",spice,0.05,celery mustard,500`,
	);
	const table = ["id,name,category,trimLoss,allergens,pack_g", ...lines, ""].join("\n");
	const form = new FormData();
	form.set("file", new File([table], "bulk.csv", { type: "text/csv" }));
	const origin = { origin: house.url };
	const since = performance.now();
	const held = await fetch(`${house.url}/book/exchange`, {
		method: "POST",
		body: form,
		redirect: "manual",
		headers: origin,
	});
	const at = `${house.url}${held.headers.get("location")}`;
	const shown = await (await fetch(at)).text();
	const [, signature = ""] = /name="signature" value="([^"]*)"/.exec(shown) ?? [];
	expect(signature).not.toBe("");
	const looked = performance.now();
	const taken = await fetch(at, {
		method: "POST",
		body: new URLSearchParams({ intent: "take", signature }),
		redirect: "manual",
		headers: origin,
	});
	expect(taken.status).toBe(302);
	const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`;
	return `${INGREDIENTS} ingredients looked at in ${seconds(looked - since)}, in after ${seconds(performance.now() - looked)}`;
}

async function timed(what: string, url: string): Promise<string> {
	const since = performance.now();
	const answer = await fetch(url);
	await answer.text();
	// What takes too long is said, and is no fault of the server.
	expect([200, 503]).toContain(answer.status);
	return `${what} ${answer.status} in ${((performance.now() - since) / 1000).toFixed(1)} s`;
}

/** A sitting of many dishes: one that is there, over and over, each dish in turn. */
async function bigSitting(client: Client): Promise<string> {
	const [found] = (await client.execute("SELECT * FROM sitting LIMIT 1")).rows;
	const dishes = (await client.execute("SELECT * FROM sitting_dish")).rows;
	if (!found || dishes.length === 0) throw new Error("nothing is planned");
	await insert(client, "sitting", { ...found, id: "heavy", covers: COVERS, hands: 12 });
	for (let place = 0; place < DISHES; place += 1) {
		const dish = dishes[place % dishes.length] as Row;
		await insert(client, "sitting_dish", {
			...dish,
			id: `heavy-${place}`,
			sitting_id: "heavy",
			position: place,
		});
	}
	return "heavy";
}

async function manyPans(client: Client): Promise<void> {
	const pans = (await client.execute(`SELECT * FROM pan_type WHERE "use" = 'braise' AND gn IS NOT NULL`))
		.rows;
	for (let kind = 0; kind < KINDS; kind += 1) {
		const pan = pans[kind % pans.length] as Row;
		await insert(client, "pan_type", {
			...pan,
			id: `heavy-pan-${kind}`,
			name: `${pan.name} no. ${kind}`,
			depth_mm: 60 + 2 * kind,
			stock: 1 + (kind % 4),
		});
	}
}

function insert(client: Client, table: string, row: object) {
	const fields = Object.entries(row).filter(([name]) => !/^\d+$/.test(name));
	const names = fields.map(([name]) => `"${name}"`).join(", ");
	const places = fields.map(() => "?").join(", ");
	return client.execute({
		sql: `INSERT INTO ${table} (${names}) VALUES (${places})`,
		args: fields.map(([, value]) => value),
	});
}
