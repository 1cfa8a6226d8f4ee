import { digest } from "ohash";

/** Letters of a mark that a person reads and types. */
const SHOWN = 8;

/** Stands for what something was made from: the same again gives the same. */
export function markOf(made: unknown): string {
	return digest(JSON.stringify(made) ?? "");
}

/** A mark as it stands on paper: eight letters, none of them easily taken for another. */
export function shownMark(mark: string): string {
	return mark
		.replace(/[^a-zA-Z0-9]/g, "")
		.toUpperCase()
		.replace(/[01OI]/g, "")
		.slice(0, SHOWN);
}
