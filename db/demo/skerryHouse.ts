import { readdir, readFile } from "node:fs/promises";
import { basename, join } from "node:path";
import { CATEGORIES, type Ingredient } from "#core/recipe";
import { newDish } from "#core/sitting";
import { fromWallClock, onDay, wallClock } from "#core/time";
import { addRecipe, readRecipe, setMenuPrice } from "../book.ts";
import { readHouse } from "../kitchen.ts";
import type { Store } from "../Store.ts";
import { cook, house, ingredient, ingredientPrice, oven, panType, standingPlace } from "../schema.ts";
import { addSitting } from "../sittings.ts";
import { INGREDIENTS } from "./ingredients.ts";

/** Who the demo data was written by. */
const WRITER = "Skerry House";
const TIME_ZONE = "Atlantic/Faroe";

type NewPan = typeof panType.$inferInsert;

const PANS: readonly NewPan[] = [
	gastronorm("gn-1-1-65", "1/1", 65, 6),
	gastronorm("gn-1-1-100", "1/1", 100, 10),
	gastronorm("gn-1-1-150", "1/1", 150, 3),
	gastronorm("gn-1-2-65", "1/2", 65, 4),
	gastronorm("gn-1-2-100", "1/2", 100, 6),
	gastronorm("gn-1-3-100", "1/3", 100, 4),
	gastronorm("gn-2-1-100", "2/1", 100, 2),
	{ ...gastronorm("tray-1-1-40", "1/1", 40, 8), name: "Tray GN 1/1-40", use: "tray" },
	{
		id: "rondeau-400",
		name: "Rondeau 400",
		kind: "round",
		diameter_mm: 400,
		depth_mm: 150,
		stock: 2,
		use: "braise",
	},
	{
		id: "wide-pan-360",
		name: "Wide pan 360",
		kind: "round",
		diameter_mm: 360,
		depth_mm: 60,
		stock: 3,
		use: "sear",
	},
	{
		id: "tilting-pan",
		name: "Tilting pan",
		kind: "box",
		length_mm: 720,
		width_mm: 520,
		depth_mm: 180,
		stock: 1,
		use: "sear",
		heat_w: 12_000,
	},
	{
		id: "saucepan-240",
		name: "Saucepan 240",
		kind: "round",
		diameter_mm: 240,
		depth_mm: 140,
		stock: 3,
		use: "pot",
	},
	{
		id: "saucepan-200",
		name: "Saucepan 200",
		kind: "round",
		diameter_mm: 200,
		depth_mm: 120,
		stock: 2,
		use: "pot",
	},
	{
		id: "saucepan-160",
		name: "Saucepan 160",
		kind: "round",
		diameter_mm: 160,
		depth_mm: 100,
		stock: 2,
		use: "pot",
	},
	{
		id: "stock-pot-360",
		name: "Stock pot 360",
		kind: "round",
		diameter_mm: 360,
		depth_mm: 340,
		stock: 2,
		use: "pot",
	},
	{
		id: "pressure-pot-280",
		name: "Pressure pot 280",
		kind: "round",
		diameter_mm: 280,
		depth_mm: 210,
		stock: 2,
		use: "pressure",
	},
	{
		id: "slow-cooker-300",
		name: "Slow cooker 300",
		kind: "round",
		diameter_mm: 300,
		depth_mm: 200,
		stock: 2,
		use: "slowCooker",
		heat_w: 500,
	},
	{
		id: "water-bath",
		name: "Water bath",
		kind: "box",
		length_mm: 500,
		width_mm: 300,
		depth_mm: 300,
		stock: 1,
		use: "bath",
		heat_w: 2000,
	},
];

function gastronorm(id: string, gn: "1/1" | "1/2" | "1/3" | "2/1", depth_mm: number, stock: number): NewPan {
	return { id, name: `GN ${gn}-${depth_mm}`, kind: "gn", gn, depth_mm, stock, use: "braise" };
}

/**
 * Skerry House: a lighthouse-station hotel with a dining room, a hall and a lunch
 * contract for the ferry. Sittings lie on days that follow `now`.
 *
 * @param bookFolder folder of recipe files, one a dish
 */
export async function seedSkerryHouse(store: Store, now: number, bookFolder: string): Promise<void> {
	await store.write(async (tx) => {
		await tx.insert(panType).values([...PANS]);
		await tx.insert(oven).values([
			{
				id: "north-oven",
				name: "North oven",
				kind: "fanOven",
				rungs: 10,
				pitch_mm: 65,
				shelf: "1/1",
				min_C: 60,
				max_C: 250,
				power_w: 18_000,
			},
			{
				id: "south-oven",
				name: "South oven",
				kind: "stillOven",
				rungs: 4,
				pitch_mm: 120,
				shelf: "2/1",
				min_C: 90,
				max_C: 280,
				power_w: 14_000,
			},
		]);
		await tx.insert(cook).values([
			{ id: "ina", name: "Ina", opens_min: 7 * 60, closes_min: 20 * 60 },
			{ id: "kit", name: "Kit", opens_min: 10 * 60, closes_min: 22 * 60 },
			{ id: "mattis", name: "Mattis", opens_min: 10 * 60, closes_min: 22 * 60 },
			{ id: "yrsa", name: "Yrsa", opens_min: 7 * 60, closes_min: 21 * 60 },
		]);
		await tx.insert(standingPlace).values([
			{ id: "blast-chiller", name: "Blast chiller", kind: "chiller", capacity: 10, air_C: -12, rated_kg: 50 },
			{ id: "cold-room", name: "Cold room", kind: "fridge", capacity: 600 },
			{ id: "plate-warmer", name: "Plate warmer", kind: "warmer", capacity: 180 },
			{ id: "quay-boxes", name: "Quay boxes", kind: "box", capacity: 8 },
		]);
		await tx.update(house).set({
			name: "Skerry House",
			timeZone: TIME_ZONE,
			searPanId: "wide-pan-360",
			burners: 3,
			closes_min: 22 * 60,
			byProductWorth: { trim: 90, bones: 60, fat: 180, liquid: 120 },
		});
		await tx.insert(ingredient).values(INGREDIENTS.map(asRow));
		await tx.insert(ingredientPrice).values(INGREDIENTS.flatMap((entry) => pricesOf(entry, now)));
	});
	await seedBook(store, bookFolder);
	await seedSittings(store, now);
}

function asRow({ pricePerKg_minor: _, made: __, ...entry }: Ingredient): typeof ingredient.$inferInsert {
	const usual = CATEGORIES[entry.category];
	const asUsual = entry.origins.length === 1 && entry.origins[0] === usual.origin;
	return {
		...entry,
		supplier: entry.supplier === usual.supplier ? null : entry.supplier,
		origins: asUsual ? [] : [...entry.origins],
		allergens: [...entry.allergens],
		mayContain: [...entry.mayContain],
	};
}

/** The price of the usual pack, and what it was last season. */
function pricesOf({ id, pack_g, pricePerKg_minor }: Ingredient, now: number) {
	if (pricePerKg_minor === null) return [];
	const pack = pack_g ?? 1000;
	const price_minor = Math.round((pricePerKg_minor * pack) / 1000);
	const entry = { ingredientId: id, pack_g: pack, who: WRITER };
	return [
		{ ...entry, price_minor: Math.round(price_minor * 0.94), from: now - SEASON_MS },
		{ ...entry, price_minor, from: now - MONTH_MS },
	];
}

/** Preparations first, since dishes name them. */
async function seedBook(store: Store, bookFolder: string): Promise<void> {
	const files = (await readdir(bookFolder)).sort();
	const docs = await Promise.all(
		files.map(async (file) => ({
			id: basename(file, ".json"),
			doc: JSON.parse(await readFile(join(bookFolder, file), "utf8")),
		})),
	);
	const preparations = docs.filter(({ doc }) => doc.format === "wide-table/preparation");
	const dishes = docs.filter((entry) => !preparations.includes(entry));
	for (const { id, doc } of [...preparations, ...dishes]) {
		await addRecipe(store, id, doc, { who: WRITER, reason: "As it is cooked in this house." });
	}
	for (const [id, price] of Object.entries(MENU_PRICES)) await setMenuPrice(store, id, price, WRITER);
}

/** What the dishes cost on the menu, euro cents. */
const MENU_PRICES = {
	"goat-shoulder": 2400,
	"duck-legs": 2600,
	"mutton-neck": 2200,
	"veal-breast": 2700,
	"pork-collar": 1250,
	"squid-ink-fennel": 2300,
	"celeriac-lentil": 1600,
	"lamb-swede-lovage": 2100,
	"venison-prune-juniper": 2600,
	"lamb-neck-caraway": 2450,
	"veal-lemon-sage": 2200,
	"goose-quince": 2900,
	"pork-chicken-saffron": 2250,
	"lamb-potato-rosemary": 2350,
	"mutton-oat-pies": 1450,
	"pork-collar-apple": 1300,
	"pork-collar-beer": 1300,
};

const SHALLOW = { coolerId: "blast-chiller", parts: 3, ice: false };
const MONTH_MS = 30 * 86_400_000;
const SEASON_MS = 150 * 86_400_000;

async function seedSittings(store: Store, now: number): Promise<void> {
	const { timeZone } = await readHouse(store.db);
	// Always the same keys: where two ways of a day are equally good, each new demo takes the same one.
	let dishes = 0;
	const dish = async (recipeId: string, uptake: number, spare = 0.05) => {
		dishes += 1;
		return newDish(`${recipeId}-${dishes}`, (await readRecipe(store.db, recipeId)).id, uptake, spare);
	};
	const at = (days: number, time: string) => {
		const { date } = wallClock(onDay(now, timeZone, 12 * 60, days), timeZone);
		return fromWallClock(date, time, timeZone) ?? now;
	};
	const saturday = daysToSaturday(now, timeZone);
	await addSitting(
		store,
		WRITER,
		{
			name: "Festival supper",
			room: "Hall",
			serviceAt: at(saturday, "19:30"),
			covers: 140,
			hands: 3,
			note: "Long tables, served family-style after the lamp is lit.",
			diets: [
				{ diet: "vegetarian", covers: 16 },
				{ diet: "noPork", covers: 11 },
				{ diet: "glutenFree", covers: 9 },
				{ diet: "milkFree", covers: 4 },
			],
		},
		[
			await dish("goat-shoulder", 0.62),
			await dish("mutton-neck", 0.2),
			await dish("celeriac-lentil", 0.18, 0.1),
		],
	);
	await addSitting(
		store,
		WRITER,
		{
			name: "Dining room dinner",
			room: "Dining room",
			serviceAt: at(2, "19:00"),
			covers: 46,
			hands: 2,
			note: "",
		},
		[
			await dish("duck-legs", 0.45, 0.04),
			await dish("squid-ink-fennel", 0.3),
			await dish("veal-breast", 0.25),
		],
	);
	await addSitting(
		store,
		WRITER,
		{
			name: "Ferry packed lunch",
			room: "Quay kitchen",
			serviceAt: at(saturday + 2, "11:30"),
			covers: 85,
			hands: 2,
			note: "Boxes aboard by 11:45, labelled.",
			// To the quay and over the gangway, opened once to be looked at.
			carry: { minutes: 45, air_C: 7, hot: true, openings: 1 },
		},
		// Both are cooked the day before, and cooled in shallow pans: nobody starts at four in the morning.
		[
			{ ...(await dish("pork-collar", 0.75, 0.04)), ahead: true, chill: SHALLOW },
			{ ...(await dish("celeriac-lentil", 0.25, 0.08)), ahead: true, chill: SHALLOW },
		],
	);
	await addSitting(
		store,
		WRITER,
		{
			name: "Harbour Sunday lunch",
			room: "Hall",
			serviceAt: at(saturday + 8, "13:00"),
			covers: 64,
			hands: 2,
			note: "Platters to the long tables; the children eat first.",
			guests: { half: 18, oneAndHalf: 4, seconds: 0.05 },
		},
		[
			// Its trim goes into the broth that it is poured with.
			{ ...(await dish("lamb-potato-rosemary", 0.6)), byProducts: { trim: "house-broth" } },
			{ ...(await dish("pork-chicken-saffron", 0.4)), share: { by: "rest" } },
		],
	);
	await addSitting(
		store,
		WRITER,
		{
			name: "Oat pies for the stores boat",
			room: "Quay kitchen",
			serviceAt: at(saturday + 9, "10:00"),
			covers: 80,
			hands: 2,
			note: "Filling only; the pies are closed on board.",
		},
		[{ ...(await dish("mutton-oat-pies", 1, 0)), ahead: true, chill: SHALLOW }],
	);
}

/** The next Saturday that leaves time to order and marinate: at least four days off. */
function daysToSaturday(now: number, timeZone: string): number {
	const weekday = new Date(`${wallClock(now, timeZone).date}T12:00:00Z`).getUTCDay();
	const days = (6 - weekday + 7) % 7;
	return days >= 4 ? days : days + 7;
}
