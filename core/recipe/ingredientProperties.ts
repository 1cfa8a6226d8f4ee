import { memoise } from "../memoise/index.ts";
import { CATEGORIES } from "./categories.ts";
import type { Ingredient } from "./Ingredient.ts";
import { plainName } from "./names.ts";

/** What an ingredient does in a pan. */
export interface InPan {
	/** Share of its weight that it gives up as liquid. */
	readonly givesWater: number;
	/** Whether it lies in the pan and takes room there. */
	readonly takesRoom: boolean;
	/** Salt it brings, g in 100 g. */
	readonly salt_pct: number;
	/** Gelatin that a stock brings, g a litre. */
	readonly gelatin_g_per_l: number;
}

interface Known extends Partial<InPan> {
	/** Words of which all stand in the name. */
	readonly words: readonly string[];
}

/**
 * What is known by name, the nearer before the more general. Salt in g of 100 g: the middle of
 * what composition tables of foods and labels give (soy sauce 14 to 16, fish sauce 20 to 25, miso
 * 10 to 12, anchovy 12 to 16, capers in brine 5 to 7, cured pork 2.5 to 4, olives 3 to 4, hard
 * cheese 1.5 to 3, mustard 4 to 6, bottled brown sauces and ketchup 2 to 3, salted butter 1.5,
 * octopus and cuttlefish 0.6 to 1, squid 0.1 to 0.6, brined and corned meat 1 to 3, gammon 2 to 4,
 * stock cubes 40 to 50, stock of the house 0 to 0.3). An ingredient's own figure goes before it.
 * Gelatin: light poultry 8 to 12 g a litre, brown veal 25 to 40, water, cubes and vegetables none.
 * @see model, section L
 */
const KNOWN: readonly Known[] = [
	{ words: ["tomato", "paste"], givesWater: 0, takesRoom: false, salt_pct: 0.3 },
	{ words: ["tomato", "concentrate"], givesWater: 0, takesRoom: false, salt_pct: 0.3 },
	{ words: ["tomato", "ketchup"], givesWater: 0, takesRoom: false, salt_pct: 2.5 },
	{ words: ["tomato", "passata"], givesWater: 0.85, takesRoom: false, salt_pct: 0.3 },
	{ words: ["tomato"], givesWater: 0.75, takesRoom: true, salt_pct: 0 },
	{ words: ["ketchup"], salt_pct: 2.5 },
	{ words: ["tamari"], salt_pct: 16 },
	{ words: ["soy"], salt_pct: 15 },
	{ words: ["soya", "sauce"], salt_pct: 15 },
	{ words: ["fish", "sauce"], salt_pct: 22 },
	{ words: ["oyster", "sauce"], salt_pct: 11 },
	{ words: ["brown", "sauce"], salt_pct: 2.5 },
	{ words: ["miso"], salt_pct: 11 },
	{ words: ["anchov"], givesWater: 0, takesRoom: false, salt_pct: 14 },
	{ words: ["caper"], takesRoom: false, salt_pct: 6 },
	{ words: ["olive", "oil"], salt_pct: 0 },
	{ words: ["olives"], givesWater: 0, takesRoom: true, salt_pct: 3.5 },
	{ words: ["pancetta"], salt_pct: 3.5 },
	{ words: ["bacon"], salt_pct: 3 },
	{ words: ["lardon"], salt_pct: 3 },
	{ words: ["ham", "hock"], salt_pct: 3 },
	{ words: ["ham"], salt_pct: 4 },
	{ words: ["gammon"], salt_pct: 3 },
	{ words: ["corned"], salt_pct: 2.5 },
	{ words: ["brined"], salt_pct: 1.5 },
	{ words: ["salt", "cod"], salt_pct: 6 },
	{ words: ["octopus"], salt_pct: 0.8 },
	{ words: ["chorizo"], salt_pct: 3.5 },
	{ words: ["cured"], salt_pct: 3.5 },
	{ words: ["mustard", "seed"], salt_pct: 0 },
	{ words: ["mustard"], salt_pct: 5 },
	{ words: ["salted", "butter"], salt_pct: 1.5 },
	{ words: ["stock", "cube"], salt_pct: 45, gelatin_g_per_l: 0 },
	{ words: ["stock", "powder"], salt_pct: 45, gelatin_g_per_l: 0 },
	{ words: ["bouillon"], salt_pct: 45, gelatin_g_per_l: 0 },
	{ words: ["vegetable", "stock"], gelatin_g_per_l: 0 },
	{ words: ["fish", "stock"], gelatin_g_per_l: 5 },
	{ words: ["brown"], gelatin_g_per_l: 28 },
	{ words: ["veal", "stock"], gelatin_g_per_l: 28 },
	{ words: ["cheese"], salt_pct: 2 },
	{ words: ["honey"], givesWater: 0, takesRoom: false, salt_pct: 0 },
	{ words: ["squid", "ink"], givesWater: 0, takesRoom: false, salt_pct: 3 },
	{ words: ["squid"], salt_pct: 0.4 },
	{ words: ["cuttlefish"], salt_pct: 0.9 },
	{ words: ["garlic"], givesWater: 0.1 },
];

/**
 * What an ingredient does in a pan: what it says itself, then what is known by its name, then
 * what its category usually does.
 */
export function inPan(ingredient: Ingredient): InPan {
	const { category, givesWater, takesRoom, salt_pct, gelatin_g_per_l } = ingredient;
	const known = knownBy(ingredient.name, category === "salt");
	const usual = CATEGORIES[category];
	return {
		givesWater: givesWater ?? known?.givesWater ?? usual.givesWater,
		takesRoom: takesRoom ?? known?.takesRoom ?? usual.takesRoom,
		salt_pct: salt_pct ?? known?.salt_pct ?? usual.salt_pct,
		gelatin_g_per_l: gelatin_g_per_l ?? gelatinOf(ingredient, known),
	};
}

/** A light stock of meat or poultry where nothing nearer is known. */
const LIGHT_STOCK_G_PER_L = 10;

function gelatinOf({ category, origins }: Ingredient, known: Known | undefined): number {
	if (category !== "stock" || origins.every((origin) => origin === "plant")) return 0;
	return known?.gelatin_g_per_l ?? LIGHT_STOCK_G_PER_L;
}

/** Salt itself is salt, whatever is in its name. */
function knownBy(name: string, isSalt: boolean): Known | undefined {
	return isSalt ? undefined : byName(name, () => ({ known: knownAs(plainName(name)) })).known;
}

/** Asked of every line of every plan; a kitchen has some thousands of names. */
const byName = memoise<string, { readonly known: Known | undefined }>(4000);

function knownAs(plain: string): Known | undefined {
	return KNOWN.find(({ words }) => words.every((word) => startsAWord(plain, word)));
}

function startsAWord(name: string, word: string): boolean {
	return name.split(" ").some((part) => part.startsWith(word));
}

/** What is poured from a bottle, whatever its pack. */
const POURED: ReadonlySet<Ingredient["category"]> = new Set(["wine", "stock", "acid"]);
/** What may be, such as oil and cream, and may be not, such as lard and cheese. */
const PERHAPS_POURED: ReadonlySet<Ingredient["category"]> = new Set(["fat", "dairy"]);
/** Bottles and cans hold a multiple of this, ml. */
const BOTTLE_STEP_ML = 50;

/** Whether a cook buys it by the litre: what is poured, and what comes in a pack of round litres. */
export function isBoughtByVolume({ category, density_g_per_ml, pack_g }: Ingredient): boolean {
	if (density_g_per_ml === null) return false;
	if (POURED.has(category)) return true;
	if (!PERHAPS_POURED.has(category) || pack_g === null) return false;
	const steps = pack_g / density_g_per_ml / BOTTLE_STEP_ML;
	return Math.abs(steps - Math.round(steps)) < 1e-3;
}
