import { usualMinutes } from "../braise/index.ts";
import { formatQuantity, readable } from "../quantity/index.ts";
import { type Ingredient, isPreparation, lineText, type Preparation, type Recipe } from "../recipe/index.ts";

/** A schema.org Recipe, as far as we write it. */
export interface RecipeJsonLd {
	readonly "@context": "https://schema.org";
	readonly "@type": "Recipe";
	readonly [field: string]: unknown;
}

/** What a recipe of ours says that schema.org has no field for. */
export const NOT_IN_JSON_LD: readonly string[] = [
	"roles of lines and how each scales",
	"trim, bone and cooking losses",
	"size and weight of a piece, gap in the pan",
	"liquid line, lid, oven range",
	"sear in loads, marinade limits",
	"choices between schools",
	"hands-on and waiting minutes of each step",
	"life and reasons of versions",
];

/** One version as schema.org Recipe JSON-LD; what cannot be carried is {@link NOT_IN_JSON_LD}. */
export function toJsonLd(
	doc: Recipe | Preparation,
	known: ReadonlyMap<string, Ingredient>,
	{ number, author }: { readonly number: number; readonly author: string },
): RecipeJsonLd {
	const hands = doc.steps.reduce((sum, step) => sum + step.handsOn_min, 0);
	const waits = doc.steps.reduce((sum, step) => sum + step.waiting_min, 0);
	const cook = isPreparation(doc)
		? waits
		: Math.round(usualMinutes(doc.cut, doc.piece, doc.losses.boneShare));
	return {
		"@context": "https://schema.org",
		"@type": "Recipe",
		name: doc.name,
		...(doc.summary ? { description: doc.summary } : {}),
		...(doc.tags && doc.tags.length > 0 ? { keywords: doc.tags.join(", ") } : {}),
		author: { "@type": "Organization", name: author },
		version: number,
		cookingMethod: isPreparation(doc) ? "Preparation" : "Braising",
		recipeYield: isPreparation(doc) ? formatQuantity(doc.makes) : `${doc.portions} portions`,
		prepTime: isoMinutes(hands),
		cookTime: isoMinutes(cook),
		recipeIngredient: doc.lines.map((line) => lineText(line, known)),
		recipeInstructions: doc.steps.map((step) => ({
			"@type": "HowToStep",
			text: [
				step.text,
				step.check ? `Look for: ${step.check}` : "",
				step.caution ? `Mind: ${step.caution}` : "",
			]
				.filter((part) => part !== "")
				.join(" "),
		})),
	};
}

function isoMinutes(minutes: number): string {
	return `PT${Math.round(minutes)}M`;
}

/** A card as Markdown, at its own size. */
export function toMarkdown(
	doc: Recipe | Preparation,
	known: ReadonlyMap<string, Ingredient>,
	number: number,
): string {
	const yields = isPreparation(doc)
		? `Makes ${formatQuantity(doc.makes)}.`
		: `For ${doc.portions} portions. Oven ${readable(doc.braise.oven_C.set, "temperature", "metric")}.`;
	const groups = [...new Set(doc.lines.map(({ group }) => group))];
	return [
		`# ${plain(doc.name)}`,
		"",
		`${plain(doc.summary)} No. ${number}. ${yields}`.trim(),
		...groups.flatMap((group) => [
			"",
			`## ${group.charAt(0).toUpperCase()}${group.slice(1)}`,
			"",
			...doc.lines.filter((line) => line.group === group).map((line) => `- ${plain(lineText(line, known))}`),
		]),
		"",
		"## Method",
		"",
		...doc.steps.map(
			(step, index) =>
				`${index + 1}. ${plain(step.text)}${step.check ? ` *Look for: ${plain(step.check)}*` : ""}${step.caution ? ` **Mind: ${plain(step.caution)}**` : ""}`,
		),
		"",
	].join("\n");
}

/** Text in which nothing is taken for markup. */
function plain(text: string): string {
	return text.replace(/[\\`*_{}[\]<>#|]/g, (sign) => `\\${sign}`).replace(/\r?\n/g, " ");
}
