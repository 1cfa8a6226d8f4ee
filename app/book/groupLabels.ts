import type { RecipeLine } from "#core/recipe";

export const GROUP_LABELS: Readonly<Record<RecipeLine["group"], string>> = {
	base: "Base",
	liquid: "Liquid",
	finish: "Finish",
	garnish: "Garnish",
	side: "Side",
};
