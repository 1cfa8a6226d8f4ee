import { wallClock } from "#core/time";

/** Something that was written while the house's server was out of reach. */
export interface Kept {
	/** The name it calls itself, so that it is written once however often it is sent. */
	readonly clientId: string;
	readonly path: string;
	readonly fields: readonly (readonly [string, string])[];
	/** "41.5 at 14:05" */
	readonly words: string;
}

/** Where they wait: a browser's own storage, or what stands for it. */
export type Shelf = Pick<Storage, "getItem" | "setItem" | "removeItem">;

const NAME = "wide-table kept";
/** More is not kept: whoever has written so much has long seen that the line is down. */
export const MOST_KEPT = 200;

/** What waits on a shelf, the first first; nothing where the shelf is shut or holds something else. */
export function keptOn(shelf: Shelf): readonly Kept[] {
	try {
		const kept: unknown = JSON.parse(shelf.getItem(NAME) ?? "[]");
		return Array.isArray(kept) ? kept.filter(isKept) : [];
	} catch {
		return [];
	}
}

function isKept(one: unknown): one is Kept {
	const { clientId, path, fields, words } = (one ?? {}) as Partial<Kept>;
	return (
		typeof clientId === "string" &&
		typeof path === "string" &&
		typeof words === "string" &&
		Array.isArray(fields)
	);
}

/** @returns whether the shelf took it */
export function keepOn(shelf: Shelf, kept: Kept): boolean {
	const others = keptOn(shelf).filter(({ clientId }) => clientId !== kept.clientId);
	return others.length < MOST_KEPT && put(shelf, [...others, kept]);
}

export function dropFrom(shelf: Shelf, clientId: string): void {
	put(
		shelf,
		keptOn(shelf).filter((kept) => kept.clientId !== clientId),
	);
}

function put(shelf: Shelf, kept: readonly Kept[]): boolean {
	try {
		if (kept.length === 0) shelf.removeItem(NAME);
		else shelf.setItem(NAME, JSON.stringify(kept));
		return true;
	} catch {
		return false;
	}
}

/**
 * A form as it is kept: with the moment at which it was written, to the millisecond, where it names
 * none: two readings of one minute are two.
 *
 * @returns null where it has no name of its own, and could be written twice
 */
export function keptForm(path: string, form: FormData, now: number, timeZone: string): Kept | null {
	const typed = Object.fromEntries([...form].map(([name, value]) => [name, String(value)]));
	const { clientId = "", date, time } = typed;
	if (clientId === "") return null;
	const fields = Object.entries({ ...typed, ...(date || time ? {} : { keptAt: String(now) }) });
	return { clientId, path, fields, words: `${wordsOf(typed)} at ${time || wallClock(now, timeZone).time}` };
}

function wordsOf({ intent = "", C, action, stage }: Readonly<Record<string, string>>): string {
	return C || action || stage || INTENTS[intent] || "an entry";
}

const INTENTS: Readonly<Record<string, string>> = { end: "a pan taken out", probe: "a probe put in" };

/** How one that waited was answered. */
type Answer = "taken" | "refused" | "waits";

/**
 * Sends what waits, one after the other, until nobody answers.
 *
 * @returns those that the house would not have: they are dropped, and have to be told
 */
export async function sendKept(
	shelf: Shelf,
	send: (kept: Kept) => Promise<Answer>,
): Promise<readonly Kept[]> {
	const refused: Kept[] = [];
	for (const kept of keptOn(shelf)) {
		const answer = await send(kept);
		if (answer === "waits") break;
		dropFrom(shelf, kept.clientId);
		if (answer === "refused") refused.push(kept);
	}
	return refused;
}

/** Sends one as its page would. */
export async function sendAsForm({ path, fields }: Kept): Promise<Answer> {
	try {
		const body = new URLSearchParams(fields.map(([name, value]) => [name, value]));
		const { type, ok, status } = await fetch(path, { method: "POST", body, redirect: "manual" });
		if (ok || type === "opaqueredirect") return "taken";
		return status >= 500 || status === 429 ? "waits" : "refused";
	} catch {
		return "waits";
	}
}
