/** A row of a record that is only added to, as far as its chain goes. */
export interface Linked {
	/** From 1, without a gap. */
	readonly number: number;
	/** Hexadecimal. */
	readonly hash: string;
}

/** What stands before the first row: sixty-four noughts. */
export const NO_HASH = "0".repeat(64);

/** SHA-256 of a text, hexadecimal. */
export type Digest = (text: string) => string;

/** The hash of a row: of the one before it, and of all that it says. */
export function hashOf(digest: Digest, before: string, said: readonly (string | number | null)[]): string {
	return digest(before + JSON.stringify(said));
}

/** Where a chain does not hold. */
export interface Break {
	readonly number: number;
	readonly because: "altered" | "removed" | "twice";
}

/** Walks a chain row by row. */
export class ChainWalk {
	#hash: string;
	#number: number;
	readonly #digest: Digest;
	readonly breaks: Break[] = [];

	constructor(digest: Digest, from: Linked = { number: 0, hash: NO_HASH }) {
		this.#digest = digest;
		this.#hash = from.hash;
		this.#number = from.number;
	}

	/** The last row that was walked. */
	get head(): Linked {
		return { number: this.#number, hash: this.#hash };
	}

	/** The next row by its number, with what it says. A row that was put elsewhere no longer has its hash. */
	step(row: Linked, said: readonly (string | number | null)[]): void {
		const { breaks } = this;
		if (row.number <= this.#number) breaks.push({ number: row.number, because: "twice" });
		else if (row.number > this.#number + 1) breaks.push({ number: this.#number + 1, because: "removed" });
		else if (hashOf(this.#digest, this.#hash, said) !== row.hash)
			breaks.push({ number: row.number, because: "altered" });
		this.#number = row.number;
		this.#hash = row.hash;
	}

	/** After the last row: what was given numbers and is not there any more was removed. */
	end(given: number): void {
		if (given > this.#number) this.breaks.push({ number: this.#number + 1, because: "removed" });
	}
}
