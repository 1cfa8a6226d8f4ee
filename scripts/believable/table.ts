import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import {
	BOUNDS,
	beyondBelief,
	borrowedFor,
	cookedFor,
	cooksFor,
	type Figures,
	figuresOf,
	handsOnByPlace,
} from "#core/believable";
import { isMadeAhead, type Plan, plan, searTaken, USUALLY_AHEAD } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { threeDigits } from "#core/quantity";
import { isPreparation, type Recipe } from "#core/recipe";
import { PLACE_WORDS, type PlaceKey } from "#core/trade";
import { ensureHouse, readBook, readKitchen, Store } from "#db";
import { seedSkerryHouse } from "#db/demo";

const SIZES = [30, 140, 600] as const;
const SERVICE = Date.UTC(2026, 11, 5, 19, 30);

/** The demonstration's kitchen and dishes, from a store of its own. */
export async function demoHouse(): Promise<{ kitchen: Kitchen; dishes: readonly Recipe[] }> {
	const folder = mkdtempSync(join(tmpdir(), "wide-table-believable-"));
	const store = await Store.open({
		url: `file:${folder}/house.db`,
		backups: join(folder, "backups"),
		migrations: resolve("db/migrations"),
	});
	await ensureHouse(store);
	await seedSkerryHouse(store, SERVICE, resolve("db/demo/book"));
	const book = await readBook(store.db);
	const dishes = book.map(({ doc }) => doc).filter((doc): doc is Recipe => !isPreparation(doc));
	return { kitchen: await readKitchen(store.db), dishes };
}

/** One dish alone for so many portions. */
export function planFor(recipe: Recipe, portions: number, kitchen: Kitchen): Plan {
	const order = {
		id: "dish",
		serviceAt: SERVICE,
		covers: portions,
		uptake: 1,
		spare: 0,
		hands: cooksFor(portions),
		basis: { from: "covers" },
		panTypeId: null,
		panWishes: [],
		colour: null,
		lineSettled: false,
	} as const;
	return plan(cookedFor(recipe, portions, USUALLY_AHEAD), order, borrowedFor(portions, kitchen));
}

/** The document, and a line for every figure that lies outside its bounds. */
export async function believableTable(): Promise<{ text: string; amiss: string[] }> {
	const { kitchen, dishes } = await demoHouse();
	const amiss: string[] = [];
	const parts = dishes.map((recipe) => {
		const plans = SIZES.map((size) => planFor(recipe, size, kitchen));
		for (const planned of plans) {
			for (const { bound, is } of beyondBelief(planned)) {
				amiss.push(
					`${recipe.name}, ${planned.chain.portions}: ${bound.words} is ${threeDigits(is)}; ${bound.least} to ${bound.most}`,
				);
			}
		}
		return dishTable(recipe, plans);
	});
	return { text: [HEAD, boundsTable(), ...parts].join("\n\n").concat("\n"), amiss };
}

const HEAD = `# Figures a chef believes

Every dish of the demonstration at 30, 140 and 600 portions, alone in the kitchen of Skerry House, written by \`npm run -s believable\`. At 600 pans, trays and ovens are borrowed, five times as many, and the dish is cooked the day before; pots, burners and tilting pan stay the house's own. The bounds are what a chef would nod at, and are held for every size from 10 to 1,200 by a test over generated sizes.`;

function boundsTable(): string {
	return [
		"| figure | from | to | why |",
		"|---|--:|--:|---|",
		...BOUNDS.map(({ words, least, most, mostForFew, mostByRule, why }) => {
			const few = mostForFew === undefined ? "" : `; for fewer than twenty portions ${mostForFew}`;
			const rule = mostByRule === undefined ? "" : `; where a third up the piece decides ${mostByRule}`;
			return `| ${words} | ${least} | ${most}${few}${rule} | ${why} |`;
		}),
	].join("\n");
}

type Row = readonly [label: string, told: (planned: Plan, figures: Figures) => string, bound?: keyof Figures];

const ROWS: readonly Row[] = [
	["to buy", (_, { buy_kg }) => `${threeDigits(buy_kg)} kg`],
	["a portion", (_, { buy_g_per_portion }) => `${Math.round(buy_g_per_portion)} g`, "buy_g_per_portion"],
	["poured", (_, { poured_l }) => `${threeDigits(poured_l)} l`],
	["a portion", (_, { poured_ml_per_portion: ml }) => `${Math.round(ml)} ml`, "poured_ml_per_portion"],
	["decided by", ({ pour }) => DECIDED[pour?.decidedBy ?? "line"]],
	["left over", (_, { over_l }) => `${threeDigits(over_l)} l`, "over_per_sauce"],
	["sauce", (_, { sauce_l }) => `${threeDigits(sauce_l)} l`, "sauce_ml_per_portion"],
	["finished in", potWords, "sauceDepth_mm"],
	["boiled down", boilWords, "reduce_min"],
	["lift to first plate", (_, { wait_min }) => `${Math.round(wait_min)} min`, "wait_min"],
	["held hot", ({ hold_min }) => (hold_min > 0 ? `${Math.round(hold_min)} min` : "–")],
	["coloured", colourWords, "loads"],
	[
		"fat",
		({ colour }, { fat_g_per_kg }) =>
			`${Math.round(colour?.fat_g ?? 0)} g, ${threeDigits(fat_g_per_kg)} g/kg`,
		"fat_g_per_kg",
	],
	["rungs", (_, { rungs }) => String(rungs), "portions_per_rung"],
	["one cook's minutes", handsWords, "work_min_per_portion"],
	[
		"plates a minute",
		({ chain, work }) => threeDigits(chain.portions / work.places.plate.wall_min),
		"plates_per_min_per_person",
	],
	["made", ({ recipe }) => (isMadeAhead(recipe) ? "the day before" : "the same day")],
	["warnings", ({ warnings }) => [...new Set(warnings.map(({ code }) => code))].join(", ") || "–"],
];

const DECIDED = {
	sauce: "the sauce",
	least: "a third up the piece",
	line: "the card's line",
	chef: "the chef's line",
	wine: "the wine",
};

function potWords({ sauce }: Plan): string {
	if (!sauce?.pot) return "no pot";
	const goes = sauce.goes > 1 ? `, filled ${sauce.goes} times` : "";
	return `${sauce.pots > 1 ? `${sauce.pots} × ` : ""}${sauce.pot.name}, ${Math.round(sauce.mark_mm)} mm${goes}`;
}

function boilWords({ sauce }: Plan): string {
	if (!sauce) return "–";
	const drawn = sauce.drawn
		? `${Math.round(sauce.drawn.minutes)} min of ${threeDigits(sauce.drawn.litres)} l drawn off before the lift, then `
		: "";
	return `${drawn}${Math.round(sauce.after_min)} min, ${threeDigits(sauce.take_l)} to ${threeDigits(sauce.wanted_l)} l`;
}

function colourWords({ colour }: Plan, { sear_min }: Figures): string {
	if (!colour) return "–";
	const pan = searTaken(colour);
	const what = pan
		? `${pan.loads} loads of ${pan.perLoad}, ${pan.vessel.name}`
		: `${colour.oven?.trays} trays`;
	return `${what}, ${Math.round(sear_min)} min`;
}

function handsWords(planned: Plan): string {
	return Object.entries(handsOnByPlace(planned))
		.map(([place, minutes]) => `${PLACE_WORDS[place as PlaceKey]} ${Math.round(minutes)}`)
		.join(", ");
}

function dishTable(recipe: Recipe, plans: readonly Plan[]): string {
	const figures = plans.map(figuresOf);
	const rows = ROWS.map(([label, told, bound]) => {
		const limits = BOUNDS.find(({ figure }) => figure === bound);
		const cells = plans.map((planned, index) => told(planned, figures[index] as Figures));
		return `| ${label} | ${cells.join(" | ")} | ${limits ? `${limits.words}: ${limits.least} to ${limits.most}` : ""} |`;
	});
	return [
		`## ${recipe.name}`,
		"",
		`| | ${plans.map(({ chain }) => chain.portions).join(" | ")} | bounds |`,
		"|---|---|---|---|---|",
		...rows,
	].join("\n");
}
