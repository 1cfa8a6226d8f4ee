import { lineWords } from "#core/pans";
import { asScaleLine, ingredientOf } from "#core/plan";
import { threeDigits, toBase, UNITS } from "#core/quantity";
import { ALLERGENS, type Ingredient, LIDS, type Recipe, type RecipeLine } from "#core/recipe";
import { type ScaledLine, scaleLines } from "#core/scaling";
import { counted, percent, type Reading } from "../ui/reading.ts";
import { stepView } from "../ui/stepView.ts";

const GROUP_LABELS: Readonly<Record<RecipeLine["group"], string>> = {
	base: "Base",
	liquid: "Liquid",
	finish: "Finish",
	garnish: "Garnish",
	side: "Side",
};

/** A card read at a number of portions. Liquid follows the card's ratio; the pans decide on the day. */
export function cardView(
	recipe: Recipe,
	portions: number,
	known: ReadonlyMap<string, Ingredient>,
	reading: Reading,
) {
	const ingredients = recipe.lines.map((line) => ingredientOf(line, known));
	const lines = recipe.lines.map((line, index) => asScaleLine(line, ingredients[index] as Ingredient));
	const main = lines.find((line) => line.role === "main")?.amount_g ?? 0;
	const baseMain_kg = main / 1000;
	const factor = portions / recipe.portions;
	const scaled = scaleLines(lines, {
		baseMain_kg,
		main_kg: baseMain_kg * factor,
		basePortions: recipe.portions,
		portions,
		searLoads: 1,
		sauce_l: Math.max(0.001, (portions * recipe.sauce_ml) / 1000),
	});
	const rows = recipe.lines.map((line, index) => ({
		group: GROUP_LABELS[line.group],
		name: ingredients[index]?.name ?? "",
		preparation: line.preparation ?? "",
		amount: amountWords(line, scaled[index] as ScaledLine, ingredients[index] as Ingredient, reading),
		percentOfMain: percentWords(line, scaled[index] as ScaledLine),
	}));
	return {
		groups: [...new Set(rows.map((row) => row.group))].map((group) => ({
			group,
			rows: rows.filter((row) => row.group === group),
		})),
		facts: factsOf(recipe, reading),
		allergens: allergensIn(ingredients),
		steps: recipe.steps.map((step) => stepView(step, factor)),
	};
}

function amountWords(line: RecipeLine, scaled: ScaledLine, ingredient: Ingredient, reading: Reading): string {
	const per = line.role === "searFat" ? " a load" : "";
	if (scaled.count !== undefined) return counted(scaled.count, "piece");
	if (UNITS[line.unit].dimension === "volume" && line.role !== "searFat" && scaled.amount_g !== undefined) {
		return reading.volume(scaled.amount_g / (ingredient.density_g_per_ml ?? 1) / 1000);
	}
	if (UNITS[line.unit].dimension === "volume")
		return reading.volume(toBase(line.amount, line.unit) / 1000) + per;
	const asWritten = scaled.factor === 1;
	return reading.mass(((asWritten ? scaled.amount_g : scaled.weigh_g) ?? 0) / 1000) + per;
}

function percentWords(line: RecipeLine, { percentOfMain }: ScaledLine): string {
	return percentOfMain === undefined || line.role === "searFat" ? "" : `${threeDigits(percentOfMain)} %`;
}

function allergensIn(ingredients: readonly Ingredient[]): { name: string; from: string }[] {
	const names = [...new Set(ingredients.flatMap((ingredient) => ingredient.allergens))];
	return names.map((allergen) => ({
		name: ALLERGENS[allergen],
		from: [
			...new Set(ingredients.filter((one) => one.allergens.includes(allergen)).map((one) => one.name)),
		].join(", "),
	}));
}

function factsOf(recipe: Recipe, reading: Reading): { figure: string; label: string }[] {
	const { trimLoss, boneShare = 0, cookingLoss } = recipe.losses;
	const portion =
		"portion_g" in recipe.portion
			? reading.mass(recipe.portion.portion_g / 1000)
			: counted(recipe.portion.piecesPerPortion, "piece");
	const bone = boneShare > 0 ? [{ figure: percent(boneShare), label: "bone" }] : [];
	return [
		{ figure: portion, label: "a portion" },
		{ figure: reading.volume(recipe.sauce_ml / 1000), label: "sauce a portion" },
		{ figure: reading.mass(recipe.piece.weight_g / 1000), label: "a piece, trimmed" },
		{ figure: reading.temperature(recipe.braise.oven_C.set), label: "oven" },
		{ figure: lineWords(recipe.braise.line), label: "liquid line" },
		{ figure: LIDS[recipe.braise.lid], label: "on the pan" },
		{ figure: percent(trimLoss), label: "trim loss" },
		...bone,
		{ figure: percent(cookingLoss), label: "cooking loss" },
	];
}
