import { costOf } from "#core/cost";
import { toBase, UNITS } from "#core/quantity";
import {
	allergensIn,
	CATEGORIES,
	clausesOf,
	gramsOrNull,
	ingredientOf,
	type Preparation,
} from "#core/recipe";
import { weighAsCook } from "#core/scaling";
import { durationWords } from "#core/time";
import { allergenView } from "../ui/words/allergenView.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import { stepViews } from "../ui/words/stepView.ts";
import { type CardHouse, costView } from "./dishCard.ts";
import { inGroups } from "./groupLabels.ts";

/** A preparation's card at a multiple of what it makes, ready to read. */
export function preparationCard(preparation: Preparation, factor: number, house: CardHouse) {
	const { reading, kitchen, currency } = house;
	const ingredients = preparation.lines.map((line) => ingredientOf(line, kitchen.known.byId));
	const rows = preparation.lines.map((line, index) => {
		const bought = ingredients[index];
		const grams = bought ? gramsOrNull(line, bought) : null;
		return {
			group: line.group,
			name: bought?.name ?? line.ingredient,
			preparation: clausesOf(line).join(", "),
			amount: amountWords(line, factor, grams, house),
			percentOfMain: "",
			perPortion: "",
			note: "",
		};
	});
	const items = preparation.lines.flatMap((line, index) => {
		const ingredient = ingredients[index];
		if (!ingredient) return [];
		const grams = gramsOrNull(line, ingredient);
		return [
			{
				ingredient,
				edible_kg: grams === null ? null : (grams * factor) / 1000,
				trimLoss: line.trimLoss ?? ingredient.trimLoss,
			},
		];
	});
	const cost = costOf(items, { portions: 1, cooked_kg: 0, menuPrice_minor: null });
	return {
		makes: makesWords(preparation, factor, reading),
		category: [CATEGORIES[preparation.category].words, ...keepingWords(preparation)].join(" · "),
		groups: inGroups(rows),
		steps: stepViews(preparation.steps, { factor }, 1),
		allergens: allergenView(
			allergensIn(ingredients, kitchen.policy.allergenList),
			kitchen.policy.allergenList,
		),
		cost: costView(cost, currency),
	};
}

export type PreparationCard = ReturnType<typeof preparationCard>;

function amountWords(
	line: Preparation["lines"][number],
	factor: number,
	grams: number | null,
	{ reading, kitchen: { policy } }: CardHouse,
): string {
	const { dimension } = UNITS[line.unit];
	if (dimension === "volume") return reading.volume((toBase(line.amount, line.unit) * factor) / 1000);
	if (dimension === "count" && line.role === "potent") {
		return counted(Math.max(1, Math.round(toBase(line.amount, line.unit) * factor)), "piece");
	}
	return reading.mass(weighAsCook((grams ?? 0) * factor, line.role, policy.scaleStep_g) / 1000);
}

/** How it sets, how long it keeps and holds, as far as its card says. */
function keepingWords({ gelatin_g_per_l, keeps_days, holds_min }: Preparation): string[] {
	return [
		...(gelatin_g_per_l === undefined ? [] : [`${gelatin_g_per_l} g of gelatin a litre`]),
		...(keeps_days === undefined ? [] : [`keeps ${counted(keeps_days, "day")} cold`]),
		...(holds_min === undefined ? [] : [`holds hot for ${durationWords(holds_min)}`]),
	];
}

function makesWords({ makes }: Preparation, factor: number, reading: Reading): string {
	const base = (toBase(makes.amount, makes.unit) * factor) / 1000;
	return UNITS[makes.unit].dimension === "mass" ? reading.mass(base) : reading.volume(base);
}
