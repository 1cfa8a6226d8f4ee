/** One thing wrong with what was given: which field, and what is allowed there. */
export interface Problem {
	/** Path of the field as the caller named it, e.g. `trimLoss` or `lines[2].role`. */
	readonly field: string;
	/** A whole sentence: what was given and what is allowed. */
	readonly message: string;
}

/**
 * Input that cannot be computed with. It is the sender's to mend, so it always
 * names the field and what is allowed; the server answers it with 400, never 500.
 */
export class Refusal extends Error {
	readonly problems: readonly Problem[];

	constructor(problems: readonly Problem[]) {
		super(problems.map((problem) => `${problem.field}: ${problem.message}`).join("; "));
		this.name = "Refusal";
		this.problems = problems;
	}
}

/** A refusal of one field. */
export function refuse(field: string, message: string): Refusal {
	return new Refusal([{ field, message }]);
}
