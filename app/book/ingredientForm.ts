import { type Static, Type } from "@sinclair/typebox";
import { Day, Name, oneOf, Refusal, refuse } from "#core/check";
import {
	fromBase,
	parseQuantity,
	toBase,
	UNITS,
	type UnitSystem,
	WATER_G_PER_ML,
	written,
} from "#core/quantity";
import { ALLERGEN_NAMES, CATEGORY_KEYS, ORIGINS, SUPPLIERS, type Supplier } from "#core/recipe";
import { fromWallClock } from "#core/time";
import { CUTS } from "#core/trade";
import type { IngredientFields, PriceRow } from "#db";
import { type FormRead, readForm, typedIn, wrongOf } from "../ui/forms/form.ts";

const IngredientForm = Type.Object({
	name: Name,
	category: oneOf(CATEGORY_KEYS),
	cut: oneOf(["", ...CUTS] as const),
	supplier: oneOf(["", ...(Object.keys(SUPPLIERS) as Supplier[])] as const),
	density: Type.Optional(
		Type.Number({ minimum: 0.05, maximum: 5, allowed: "a density from 0.05 to 5 g/ml" }),
	),
	each: Type.Optional(Type.String({ maxLength: 30 })),
	trim: Type.Optional(Type.Number({ minimum: 0, maximum: 90, allowed: "a percentage from 0 to 90" })),
	water: Type.Optional(Type.Number({ minimum: 0, maximum: 90, allowed: "a percentage from 0 to 90" })),
	room: Type.Optional(oneOf(["", "yes", "no"] as const)),
	salt: Type.Optional(
		Type.Number({ minimum: 0, maximum: 100, allowed: "grams of salt in 100 g, from 0 to 100" }),
	),
	pack: Type.Optional(Type.String({ maxLength: 30 })),
});

/** An ingredient as it is typed; ticked boxes are `contains.NAME`, `may.NAME` and `origin.NAME`. */
export function readIngredientForm(form: FormData): FormRead<IngredientFields> {
	const read = readForm(IngredientForm, form);
	if ("wrong" in read) return read;
	try {
		return { value: fieldsOf(read.value, form) };
	} catch (error) {
		if (error instanceof Refusal) return { typed: typedIn(form), wrong: wrongOf(error) };
		throw error;
	}
}

function fieldsOf(typed: Static<typeof IngredientForm>, form: FormData): IngredientFields {
	const density_g_per_ml = typed.density ?? null;
	const ticked = <T extends string>(group: string, all: readonly T[]) =>
		all.filter((name) => form.get(`${group}.${name}`) === "on");
	return {
		name: typed.name.trim(),
		category: typed.category,
		cut: typed.cut || null,
		supplier: typed.supplier || null,
		density_g_per_ml,
		each_g: gramsIn("each", typed.each, "weighed"),
		trimLoss: Number(((typed.trim ?? 0) / 100).toPrecision(12)),
		givesWater: typed.water === undefined ? null : Number((typed.water / 100).toPrecision(12)),
		takesRoom: typed.room ? typed.room === "yes" : null,
		salt_pct: typed.salt ?? null,
		pack_g: rounded(gramsIn("pack", typed.pack, density_g_per_ml)),
		origins: ticked("origin", ORIGINS),
		described: form.get("described") === "on",
		allergens: ticked("contains", ALLERGEN_NAMES),
		mayContain: ticked("may", ALLERGEN_NAMES),
	};
}

const rounded = (grams: number | null) => (grams === null ? null : Math.max(1, Math.round(grams)));

/**
 * Grams of a typed weight or volume; null when nothing was typed.
 *
 * @param density g/ml; where it is not known, water's is taken: a litre is about a kilo. What is
 *                weighed is not told by its volume
 */
function gramsIn(field: string, text: string | undefined, density: number | null | "weighed"): number | null {
	if (text === undefined || text.trim() === "") return null;
	const { amount, unit } = parseQuantity(/^[\d.,\s]+$/.test(text) ? `${text} g` : text, field);
	const base = toBase(amount, unit);
	const { dimension } = UNITS[unit];
	const grams =
		dimension === "mass"
			? base
			: dimension === "volume" && density !== "weighed"
				? base * (typeof density === "number" ? density : WATER_G_PER_ML)
				: Number.NaN;
	if (grams > 0 && grams < 1e8) return grams;
	throw refuse(field, `“${text}” was given; a weight or a volume above 0 is allowed`);
}

const PriceForm = Type.Object({
	pack: Type.String({ minLength: 1, maxLength: 30, allowed: "a weight or volume such as 5 kg or 4.5 l" }),
	price: Type.Number({
		exclusiveMinimum: 0,
		maximum: 1_000_000,
		allowed: "an amount of money above 0 and up to 1,000,000",
	}),
	from: Day,
});

/** What a pack costs from a day on, as it is typed. */
export function readPriceForm(
	form: FormData,
	{ density, timeZone, minorUnits }: { density: number | null; timeZone: string; minorUnits: number },
): FormRead<Pick<PriceRow, "pack_g" | "price_minor" | "from">> {
	const read = readForm(PriceForm, form);
	if ("wrong" in read) return read;
	try {
		const { pack, price, from } = read.value;
		const pack_g = rounded(gramsIn("pack", pack, density));
		if (pack_g === null) throw refuse("pack", "is missing; a weight or volume such as 5 kg is needed");
		const at = fromWallClock(from, "00:00", timeZone);
		if (at === undefined) throw refuse("from", `“${from}” was given; a day such as 2026-11-28 is allowed`);
		return { value: { pack_g, price_minor: Math.round(price * minorUnits), from: at } };
	} catch (error) {
		if (error instanceof Refusal) return { typed: typedIn(form), wrong: wrongOf(error) };
		throw error;
	}
}

/** An ingredient as its form shows it. */
export function typedOf(row: IngredientFields, units: UnitSystem): Record<string, string> {
	const grams = (weight: number | null) => {
		if (weight === null) return "";
		if (units === "us") return `${written(Number(fromBase(weight, "oz").toPrecision(6)))} oz`;
		return weight >= 1000 ? `${written(weight / 1000)} kg` : `${written(weight)} g`;
	};
	const on = (group: string, names: readonly string[]) =>
		names.map((name) => [`${group}.${name}`, "on"] as const);
	return {
		name: row.name,
		category: row.category,
		cut: row.cut ?? "",
		supplier: row.supplier ?? "",
		density: row.density_g_per_ml === null ? "" : written(row.density_g_per_ml),
		each: grams(row.each_g),
		trim: written(Number((row.trimLoss * 100).toPrecision(12))),
		water: row.givesWater === null ? "" : written(Number((row.givesWater * 100).toPrecision(12))),
		room: row.takesRoom === null ? "" : row.takesRoom ? "yes" : "no",
		salt: row.salt_pct === null ? "" : written(row.salt_pct),
		pack: grams(row.pack_g),
		described: row.described ? "on" : "",
		...Object.fromEntries([
			...on("origin", row.origins),
			...on("contains", row.allergens),
			...on("may", row.mayContain),
		]),
	};
}
