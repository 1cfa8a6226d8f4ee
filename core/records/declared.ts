import {
	ALLERGEN_NAMES,
	ALLERGENS,
	type Allergen,
	type AllergenFound,
	type AllergenListKey,
	boughtIn,
	carriedIn,
	declaredIn,
	declaredWords,
	fallsBetween,
	type Ingredient,
	ingredient,
	onDeclaredList,
	type Preparation,
	type Presence,
	unionOf,
} from "../recipe/index.ts";
import type { DocOf, RecordEntry } from "./entries.ts";

/** What is known of what is in a lot. */
export interface Inside {
	/** Everything that is bought, by short name; what was merged away gives what it was merged into. */
	readonly known: ReadonlyMap<string, Ingredient>;
	/** Deliveries that it was made from. */
	readonly deliveries: readonly RecordEntry<"delivery">[];
	/** What the lots that it was made from declare; null where nobody knows. */
	readonly sources: readonly (readonly AllergenFound[] | null)[];
}

/**
 * What a lot declares: what it declared when it was made, and all that is known by now of its
 * ingredients, of the packets that were delivered, and of the lots that are in it. It is never less
 * than any of them.
 *
 * @returns null where somebody has to name it first
 */
export function declaredNow(
	doc: DocOf<"lot">,
	{ known, deliveries, sources }: Inside,
): AllergenFound[] | null {
	const own = declaredWhenMade(doc);
	if (own === null || sources.includes(null)) return null;
	return unionOf([
		own,
		declaredIn(ingredientsOf(doc, deliveries).map((id) => known.get(id) ?? unknown(id))),
		...deliveries.map(({ doc: { name, supplier, packet } }) =>
			packet ? onPacket(supplier ? `${name} of ${supplier}` : name, packet) : [],
		),
		...sources.map((source) => source ?? []),
	]);
}

/** What a lot that is made of some ingredients says of them. */
export function insideOf(
	ingredients: readonly Ingredient[],
	preparations: ReadonlyMap<string, Preparation>,
	list: AllergenListKey,
): Required<Pick<DocOf<"lot">, "contents" | "allergens" | "ingredients">> & {
	readonly declares: NonNullable<DocOf<"lot">["declares"]>;
} {
	const distinct = [...new Map(ingredients.map((one) => [one.id, one])).values()];
	const declared = declaredIn(distinct);
	return {
		contents: distinct.map(({ name }) => name).join(", "),
		allergens: declaredWords(onDeclaredList(declared, list)),
		declares: declared.map((found) => ({ ...found, from: [...found.from] })),
		ingredients: boughtIn(
			distinct.map(({ id }) => ({ ingredient: id })),
			preparations,
		),
	};
}

/** Short names of all that is bought and in a lot. */
export function ingredientsOf(doc: DocOf<"lot">, deliveries: readonly RecordEntry<"delivery">[]): string[] {
	return [...new Set([...(doc.ingredients ?? []), ...deliveries.map((one) => one.doc.ingredientId)])];
}

function unknown(id: string): Ingredient {
	return ingredient({ id, name: id.replaceAll("-", " "), described: false });
}

function onPacket(
	name: string,
	{ contains, mayContain }: NonNullable<DocOf<"delivery">["packet"]>,
): AllergenFound[] {
	const found = (presence: Presence) => (allergen: Allergen) => ({ allergen, presence, from: [name] });
	return [...contains.map(found("contains")), ...mayContain.map(found("mayContain"))];
}

/** What a delivered packet carries that its ingredient in the book does not declare so strongly. */
export function besideTheBook(
	{ packet, name }: DocOf<"delivery">,
	book: readonly AllergenFound[],
): AllergenFound[] {
	if (!packet) return [];
	const told = unionOf([onPacket(name, packet)]);
	const more = fallsBetween(carriedIn(told), carriedIn(book)).map(({ allergen }) => allergen);
	return told.filter(({ allergen }) => more.includes(allergen));
}

function declaredWhenMade({ declares, allergens }: DocOf<"lot">): readonly AllergenFound[] | null {
	return declares === undefined ? declaredAsWorded(allergens) : declares;
}

const NONE = "none of the house's list in its lines";

/**
 * What older lots say in words alone: "contains celery; may contain mustard; not known for shallots".
 * Words that are none of ours name nothing: nobody knows then.
 */
function declaredAsWorded(words: string): AllergenFound[] | null {
	if (words === NONE) return [];
	const found = words.split(/;\s*/).map((part): AllergenFound[] | null => {
		const [, start = "", names = ""] = /^(contains|may contain|not known for) (.+)$/.exec(part) ?? [];
		const listed = names.split(/,\s*/);
		if (start === "") return null;
		if (start === "not known for")
			return ALLERGEN_NAMES.map((allergen) => ({ allergen, presence: "notKnown", from: listed }));
		const presence = start === "contains" ? "contains" : "mayContain";
		const named = ALLERGEN_NAMES.filter((allergen) => listed.includes(ALLERGENS[allergen]));
		if (named.length < listed.length) return null;
		return named.map((allergen) => ({ allergen, presence, from: [] }));
	});
	const told = found.flatMap((part) => (part === null ? [] : [part]));
	return told.length < found.length ? null : unionOf(told);
}
