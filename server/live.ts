import { newestEntry, newestReading, ProbePlaces, ReadingKeeper, type Store, watchesReadSince } from "#db";

/** What has come in: which watches were read, and whether anything else was written. */
export interface LiveNews {
	readonly watches: readonly number[];
	readonly written: boolean;
}

/** So often it is asked what has come in, while anybody looks, ms: other servers write as well. */
const EVERY_MS = 1000;

/** What probes send and what pages that look on are told of it. */
export class Live {
	readonly readings: ReadingKeeper;
	readonly places = new ProbePlaces();
	readonly #store: Store;
	readonly #listeners = new Set<(news: LiveNews | null) => void>();
	#asking: NodeJS.Timeout | null = null;
	#seen = { reading: 0, entry: 0 };
	#stopped = false;

	constructor(store: Store) {
		this.#store = store;
		this.readings = new ReadingKeeper(store);
	}

	/** @param listener is told what came in, and null at the end. @returns how to stop listening */
	listen(listener: (news: LiveNews | null) => void): () => void {
		if (this.#stopped) {
			listener(null);
			return () => undefined;
		}
		this.#listeners.add(listener);
		if (this.#listeners.size === 1) void this.#begin();
		return () => {
			this.#listeners.delete(listener);
			if (this.#listeners.size === 0) this.#pause();
		};
	}

	/** Ends what is being listened to. */
	stop(): void {
		this.#stopped = true;
		this.#pause();
		for (const listener of this.#listeners) listener(null);
		this.#listeners.clear();
	}

	async #begin(): Promise<void> {
		this.#seen = await this.#newest().catch(() => this.#seen);
		if (this.#listeners.size > 0 && !this.#stopped) this.#next();
	}

	#next(): void {
		this.#pause();
		this.#asking = setTimeout(() => void this.#ask(), EVERY_MS);
		this.#asking.unref();
	}

	#pause(): void {
		if (this.#asking) clearTimeout(this.#asking);
		this.#asking = null;
	}

	async #ask(): Promise<void> {
		try {
			const { db } = this.#store;
			const newest = await this.#newest();
			const before = this.#seen;
			this.#seen = newest;
			const watches =
				newest.reading > before.reading ? await watchesReadSince(db, before.reading, newest.reading) : [];
			const written = newest.entry > before.entry;
			if (watches.length > 0 || written)
				for (const listener of this.#listeners) listener({ watches, written });
		} catch {
			// The database does not answer just now; it is asked again.
		}
		if (this.#listeners.size > 0 && !this.#stopped) this.#next();
	}

	async #newest(): Promise<{ reading: number; entry: number }> {
		const { db } = this.#store;
		const [reading, entry] = await Promise.all([newestReading(db), newestEntry(db)]);
		return { reading, entry };
	}
}
