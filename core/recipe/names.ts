import type { Ingredient } from "./Ingredient.ts";

/** A name as it is compared: lower case, no accents, single spaces. */
export function plainName(name: string): string {
	return name
		.normalize("NFD")
		.replace(/\p{Diacritic}/gu, "")
		.toLowerCase()
		.replace(/[’']/g, "'")
		.replace(/\s+/g, " ")
		.replace(/[\s,;.]+$/, "")
		.trim();
}

/** Whether a name has what is looked for in it, of one or of many: "bay leaf" is in "bay leaves". */
export function nameHas(name: string, sought: string): boolean {
	const wanted = plainName(sought);
	const forms = [plainName(name), singular(plainName(name))];
	return [wanted, singular(wanted)].some((words) => forms.some((form) => form.includes(words)));
}

/** Every name an ingredient goes by: as the book writes it, one of it, many of it, its short name. */
export function namesOf(known: Iterable<Ingredient>): Map<string, Ingredient> {
	const named = new Map<string, Ingredient>();
	for (const entry of known) {
		const name = plainName(entry.name);
		for (const form of [name, plainName(entry.id.replaceAll("-", " ")), singular(name), plural(name)]) {
			// The book's own spelling of another ingredient goes before a form of this one.
			if (form !== "" && !named.has(form)) named.set(form, entry);
		}
	}
	for (const entry of known) named.set(plainName(entry.name), entry);
	return named;
}

const IRREGULAR: readonly (readonly [string, string])[] = [
	["leaf", "leaves"],
	["half", "halves"],
	["loaf", "loaves"],
	["tomato", "tomatoes"],
	["potato", "potatoes"],
	["anchovy", "anchovies"],
];

function plural(name: string): string {
	const irregular = IRREGULAR.find(([word]) => name.endsWith(word));
	if (irregular) return name.slice(0, -irregular[0].length) + irregular[1];
	if (name.endsWith("s")) return name;
	if (/[^aeiou]y$/.test(name)) return `${name.slice(0, -1)}ies`;
	return /(ch|sh|x)$/.test(name) ? `${name}es` : `${name}s`;
}

function singular(name: string): string {
	const irregular = IRREGULAR.find(([, many]) => name.endsWith(many));
	if (irregular) return name.slice(0, -irregular[1].length) + irregular[0];
	if (/[^aeiou]ies$/.test(name)) return `${name.slice(0, -3)}y`;
	if (/(ch|sh|x)es$/.test(name)) return name.slice(0, -2);
	return /[^s]s$/.test(name) ? name.slice(0, -1) : name;
}
