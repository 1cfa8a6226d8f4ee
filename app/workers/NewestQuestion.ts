/** What becomes of a question. */
export interface Answers<Result> {
	onBusy(): void;
	onAnswer(result: Result): void;
	onIdle(): void;
	/** The answer failed; the next question begins anew. */
	onFailed(error: unknown): void;
}

/**
 * Puts questions one at a time: while one is out only the newest further one is held, so that
 * nothing queues up behind a moving slider. A question that fails does not stop the next.
 */
export class NewestQuestion<Asked, Result> {
	private held: { readonly asked: Asked } | null = null;
	private isOut = false;
	private isStopped = false;

	constructor(
		private readonly put: (asked: Asked) => Promise<Result>,
		private readonly answers: Answers<Result>,
	) {}

	ask(asked: Asked): void {
		this.held = { asked };
		if (!this.isOut) void this.run();
	}

	/** No answer is told any more. */
	stop(): void {
		this.isStopped = true;
		this.held = null;
	}

	private async run(): Promise<void> {
		this.isOut = true;
		this.answers.onBusy();
		let failed: { readonly error: unknown } | null = null;
		while (this.held) {
			const { asked } = this.held;
			this.held = null;
			failed = null;
			try {
				const result = await this.put(asked);
				if (!this.isStopped) this.answers.onAnswer(result);
			} catch (error) {
				failed = { error };
			}
		}
		this.isOut = false;
		if (this.isStopped) return;
		if (failed) this.answers.onFailed(failed.error);
		else this.answers.onIdle();
	}
}
