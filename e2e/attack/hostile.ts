import { type Random, seeded } from "#core/random";
import { FIRST_PANS, givenOf } from "../../app/lab/labPan.ts";

/** One request as nobody should send it. */
export interface Hostile {
	readonly method: string;
	/** Path and query. */
	readonly path: string;
	readonly headers: Readonly<Record<string, string>>;
	readonly body?: string;
}

/** Addresses of the house that is attacked. */
export interface Targets {
	readonly origin: string;
	readonly sitting: string;
	readonly dish: string;
}

/** What is typed, sent and pasted by accident and on purpose. */
const TEXTS = [
	"",
	" ",
	"0",
	"-1",
	"1e308",
	"1e-308",
	"NaN",
	"Infinity",
	"0x10",
	"5 mm",
	"1/0",
	"1/2",
	"999999999999999999999",
	"null",
	"undefined",
	"true",
	"[]",
	"{}",
	'{"',
	"[[[[[[[[",
	"__proto__",
	"constructor",
	"' OR 1=1 --",
	"<script>alert(1)</script>",
	"<<<<<<<<<<<<<<<<",
	"../../etc/passwd",
	"%00",
	"ab\u0000cd",
	"\u202Eabc",
	"\u200B\u200B",
	"\uD800",
	"\uFFFE",
	"🍲".repeat(40),
	"//elsewhere.example/",
	"javascript:alert(1)",
	"2026-02-31",
	"0000-00-00",
	"99:99",
	"x".repeat(3000),
	'"'.repeat(2000),
	"\\".repeat(2000),
	"1,".repeat(1500),
	"2 kg ".repeat(400),
	"(".repeat(2000),
] as const;

const FIELDS = [
	"intent",
	"version",
	"name",
	"room",
	"covers",
	"date",
	"time",
	"hands",
	"note",
	"basis",
	"pans",
	"panType",
	"wishes",
	"line",
	"colour",
	"onHand",
	"uptake",
	"spare",
	"ahead",
	"recipe",
	"place",
	"kind",
	"depth",
	"shape",
	"stock",
	"power_kW",
	"rungs",
	"draft",
	"lines",
	"state",
	"reason",
	"number",
	"a",
	"b",
	"cut",
	"words",
	"tag",
	"page",
	"id",
	"price",
	"supplier",
	"density",
	"allergens",
	"timeZone",
	"units",
	"who",
	"back",
	"round",
	"at",
	"pan",
	"portions",
	"__proto__",
] as const;

const NUMBERS = [0, -0, -1, 0.0003, 0.01, 4.999, 5, 1e-12, 1e6, 1e15, -1e300, 1e300, 2 ** 53, null] as const;

const TYPES = [
	"application/x-www-form-urlencoded",
	"application/x-www-form-urlencoded; charset=utf-16",
	"multipart/form-data",
	"multipart/form-data; boundary=x",
	"multipart/form-data; boundary=",
	"application/json",
	"text/plain",
	"image/png",
	"",
	"nonsense",
] as const;

const METHODS = ["GET", "GET", "GET", "POST", "POST", "POST", "PUT", "DELETE", "PATCH", "OPTIONS", "HEAD"];

/** Hostile requests without end, the same ones again for the same seed. */
export function* hostileRequests(targets: Targets, seed: number): Generator<Hostile> {
	const random = seeded(seed);
	const kinds = [oddPage, oddPage, oddForm, oddForm, oddBody, oddLab, oddFile];
	for (;;) yield pick(random, kinds)(targets, random);
}

function pathsOf({ sitting, dish }: Targets): readonly string[] {
	return [
		"/",
		"/book",
		"/book/new",
		"/book/exchange",
		"/book/exchange/none",
		"/book/export/book.json",
		"/book/export/..%2f..",
		"/book/ingredients",
		"/book/ingredients/new",
		"/book/ingredients/salt",
		"/book/goat-shoulder",
		"/book/goat-shoulder/write",
		"/book/goat-shoulder/versions",
		"/book/goat-shoulder/cost",
		"/book/goat-shoulder/print",
		"/sittings",
		"/sittings/new",
		sitting,
		`${sitting}/order`,
		`${sitting}/order.xlsx`,
		dish,
		`${dish}/cutting`,
		`${dish}/sheet`,
		`${dish}/labels`,
		`${dish}/more-pans`,
		"/lab",
		"/lab/rounds",
		"/kitchen",
		"/kitchen/house",
		"/kitchen/pans/measure",
		"/kitchen/pans/new",
		"/kitchen/pans/gn-1-1-100",
		"/kitchen/ovens/new",
		"/kitchen/people/new",
		"/kitchen/places/new",
		"/day/2026-12-05",
		"/day/2026-12-05?tell=away&equipment=x&from=1&to=2",
		"/day/2026-12-05?change=%7B%22kind%22%3A%22covers%22%7D",
		"/day/2026-12-05/ways?name=%00",
		"/under-way/none",
		"/day/2026-12-05/paper",
		"/day/2026-12-05/day.ics",
		"/preferences",
		"/%E0%A4%A",
		"/%00",
		"/_.data",
		"/book.data?_routes=nothing",
		"/healthz",
	];
}

function pick<T>(random: Random, from: readonly T[]): T {
	return from[Math.floor(random() * from.length)] as T;
}

/** Fields with odd values; sometimes one of them a thousand times. */
function oddFields(random: Random): string {
	const fields = new URLSearchParams();
	for (let left = 1 + Math.floor(random() * 8); left > 0; left -= 1) {
		fields.append(pick(random, FIELDS), pick(random, TEXTS));
	}
	const again = random() < 0.03 ? `&${pick(random, FIELDS)}=1`.repeat(9000) : "";
	return fields.toString() + again;
}

function oddPage(targets: Targets, random: Random): Hostile {
	const path = pick(random, pathsOf(targets));
	const query = oddFields(random).slice(0, 12_000);
	return {
		method: pick(random, METHODS),
		path: `${path}${path.includes("?") ? "&" : "?"}${query}`,
		headers: { origin: targets.origin },
	};
}

function oddForm(targets: Targets, random: Random): Hostile {
	return {
		method: "POST",
		path: pick(random, pathsOf(targets)),
		headers: { origin: targets.origin, "content-type": TYPES[0] },
		body: oddFields(random),
	};
}

function oddBody(targets: Targets, random: Random): Hostile {
	const part = `--x\r\nContent-Disposition: form-data; name="${pick(random, FIELDS)}"\r\n\r\n${pick(random, TEXTS)}\r\n`;
	const bodies = [
		part,
		`${part}--x--`,
		part.repeat(200),
		`--x\r\nContent-Disposition: form-data\r\n\r\n\r\n--x--`,
		pick(random, TEXTS),
		oddFields(random),
	];
	return {
		method: "POST",
		path: pick(random, pathsOf(targets)),
		headers: { origin: targets.origin, "content-type": pick(random, TYPES) },
		body: pick(random, bodies),
	};
}

/** A pan of the lab with one of its figures, somewhere inside, made impossible. */
function oddLab(_: Targets, random: Random): Hostile {
	const pan = JSON.parse(JSON.stringify(givenOf(pick(random, FIRST_PANS))));
	for (let changes = 1 + Math.floor(random() * 3); changes > 0; changes -= 1) spoil(pan, random);
	return { method: "GET", path: `/lab?pan=${encodeURIComponent(JSON.stringify(pan))}`, headers: {} };
}

function spoil(value: Record<string, unknown>, random: Random): void {
	const key = pick(random, Object.keys(value));
	const inside = value[key];
	if (typeof inside === "object" && inside !== null && random() < 0.8) {
		spoil(inside as Record<string, unknown>, random);
	} else value[key] = random() < 0.7 ? pick(random, NUMBERS) : pick(random, TEXTS);
}

function oddFile(targets: Targets, random: Random): Hostile {
	const mark = "----file";
	const name = pick(random, ["book.json", "ingredients.csv", "prices.csv", "x", "\u202E.json"]);
	const head = `--${mark}\r\nContent-Disposition: form-data; name="file"; filename="${name}"\r\n\r\n`;
	return {
		method: "POST",
		path: "/book/exchange",
		headers: { origin: targets.origin, "content-type": `multipart/form-data; boundary=${mark}` },
		body: `${head}${fileText(random)}\r\n--${mark}--\r\n`,
	};
}

/** Files that are none, or are as large as files may be. */
function fileText(random: Random): string {
	const size = 2 ** Math.floor(4 + random() * 11);
	const texts = [
		'{"'.repeat(size),
		"[".repeat(size),
		`{"a":`.repeat(size),
		'{"format":"wide-table-book","recipes":[]}',
		`{"@context":"https://schema.org","@type":"Recipe","name":"${"<".repeat(size)}"}`,
		`{"@context":"https://schema.org","@type":"Recipe","name":"x","recipeIngredient":["${"&".repeat(size)}"]}`,
		`id;name;kind\n${'"'.repeat(size)}`,
		`id,name\n${"a,".repeat(size)}`,
		"\u0000".repeat(size),
		pick(random, TEXTS),
	];
	return pick(random, texts);
}
