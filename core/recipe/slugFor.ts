import { plainName } from "./names.ts";

/** Longest short name. */
const LONGEST = 60;

/**
 * A short name for a name, not one of those taken: "Crème fraîche" is `creme-fraiche`,
 * and the second one `creme-fraiche-2`.
 */
export function slugFor(name: string, taken: ReadonlySet<string>): string {
	const plain =
		plainName(name)
			.replace(/[^a-z0-9]+/g, "-")
			.replace(/^-+|-+$/g, "")
			.slice(0, LONGEST - 4)
			.replace(/-+$/, "") || "unnamed";
	if (!taken.has(plain)) return plain;
	let number = 2;
	while (taken.has(`${plain}-${number}`)) number += 1;
	return `${plain}-${number}`;
}
