import type { StoredEvent } from "./events.ts";

/**
 * Somebody else has changed the thing since it was read. Nothing has been written; the
 * events tell what they did.
 */
export class Stale extends Error {
	readonly version: number;
	readonly events: readonly StoredEvent[];

	constructor(version: number, events: readonly StoredEvent[]) {
		super("changed by somebody else since it was read");
		this.name = "Stale";
		this.version = version;
		this.events = events;
	}
}

/** There is no such thing. */
export class Missing extends Error {
	constructor(what: string, id: string) {
		super(`no ${what} “${id}”`);
		this.name = "Missing";
	}
}
