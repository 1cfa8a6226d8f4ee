import { availableParallelism } from "node:os";
import { resolve } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { Piscina } from "piscina";
import { data } from "react-router";
import type { Config } from "./config.ts";
import { NO_PREFERENCES, NOBODY_NAMED, type Preferences } from "./preferences.ts";

/** What is asked of a thread beside the one that answers: a job by its name, for one reader. */
export interface HeavyAsked {
	readonly name: string;
	readonly given: unknown;
	readonly preferences: Preferences;
	readonly who: string;
	/** How far it is and how far it goes, written by the thread while it works. */
	readonly progress: Int32Array;
}

/** Says how much of how much is done. */
export type Told = (done: number, all: number) => void;

/** What comes back: the answer, or what was thrown that a page knows how to show. */
export type HeavyAnswer =
	| { readonly value: unknown }
	| { readonly thrown: { readonly data: unknown; readonly status: number } };

/** What a thread is given once, when it begins. */
export interface HeavySetting {
	readonly config: Config;
}

export interface HeavyOptions {
	/** The request it is for; where its page is left, it is not begun, or soon ended. */
	readonly signal: AbortSignal;
	readonly lane: Lane;
	readonly progress?: Int32Array | undefined;
}

/** Each has threads of its own: a plan waits neither behind a file nor behind a long search. */
export type Lane = "plans" | "searches" | "files";

/** How long a job may take, ms, and how many may wait. */
export interface LaneLimits {
	readonly deadline_ms: number;
	readonly mostWaiting: number;
}

const LIMITS: Readonly<Record<Lane, LaneLimits>> = {
	plans: { deadline_ms: 30_000, mostWaiting: 60 },
	searches: { deadline_ms: 60_000, mostWaiting: 6 },
	files: { deadline_ms: 120_000, mostWaiting: 6 },
};
const LANES: readonly Lane[] = ["plans", "files", "searches"];
/** Searches and files yield to plans where the machine has no processor to spare; of the system's 19. */
const YIELDS = 10;
const THREADS: Readonly<Record<Lane, { readonly maxThreads: number; readonly niceIncrement: number }>> = {
	plans: { maxThreads: Math.max(2, availableParallelism() - 1), niceIncrement: 0 },
	searches: { maxThreads: 1, niceIncrement: YIELDS },
	files: { maxThreads: 1, niceIncrement: YIELDS },
};

/** A page that is left lets its job run on for so long: most are done by then, and a new thread costs more, ms. */
const LEFT_MS = 1000;
/** What is being done when all is closed may take so long, ms. */
const PATIENCE_MS = 10_000;
/** A thread without work is kept for so long, ms. */
const IDLE_MS = 60_000;
/** A thread may hold so much before it is ended, MB. */
const MOST_MEMORY_MB = 1024;
/** And so much of what it lets go of at once: more makes it no quicker, MB. */
const YOUNG_MB = 16;

/** Threads for whatever takes long, so that the thread that answers stays free to answer. */
export class HeavyPool {
	readonly #config: Config;
	readonly #worker: HeavyWorker;
	readonly #limits: Readonly<Record<Lane, LaneLimits>>;
	/** Those that something was asked of, or that were warmed. */
	readonly #lanes: Partial<Record<Lane, Piscina>> = {};
	/** Jobs of each lane that are not done; the threads' own queue has no limit for jobs that can be stopped. */
	readonly #begun: Record<Lane, number> = { plans: 0, searches: 0, files: 0 };
	#isClosed = false;

	constructor(config: Config, worker: HeavyWorker = builtWorker(), limits = LIMITS) {
		this.#config = config;
		this.#worker = worker;
		this.#limits = limits;
	}

	#lane(lane: Lane): Piscina {
		this.#lanes[lane] ??= new Piscina({
			...this.#worker,
			...THREADS[lane],
			workerData: { config: this.#config } satisfies HeavySetting,
			minThreads: 1,
			idleTimeout: IDLE_MS,
			closeTimeout: PATIENCE_MS,
			resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB, maxYoungGenerationSizeMb: YOUNG_MB },
		});
		return this.#lanes[lane];
	}

	/**
	 * Begins a thread of each lane, one after the other, so that whoever asks first does not wait for it.
	 *
	 * @returns how many of them are ready: all, unless one cannot begin
	 */
	async warm(): Promise<number> {
		let ready = 0;
		for (const lane of LANES) {
			const asked = { name: "ready", given: { lane }, preferences: NO_PREFERENCES, who: NOBODY_NAMED };
			ready += await this.run(asked, { signal: new AbortController().signal, lane }).then(
				() => 1,
				() => 0,
			);
		}
		return ready;
	}

	/**
	 * Has a job done by a thread of its lane.
	 *
	 * @throws what the job throws for a page, or 503 with what to do where it took too long, too much
	 *         is waiting, there was not memory enough, or all is being closed
	 */
	async run(asked: Omit<HeavyAsked, "progress">, options: HeavyOptions): Promise<unknown> {
		const { signal, lane, progress = newProgress() } = options;
		const { deadline_ms, mostWaiting } = this.#limits[lane];
		if (this.#isClosed)
			throw data({ said: "The house is being closed; try again when it is open." }, { status: 503 });
		if (this.#begun[lane] >= mostWaiting + THREADS[lane].maxThreads) {
			throw data(
				{ said: "Too much is being worked out at this moment. Try again in a minute." },
				{ status: 503 },
			);
		}
		const ended = new AbortController();
		const deadline = AbortSignal.timeout(deadline_ms);
		const until = AbortSignal.any([deadline, ended.signal]);
		const left = () => void pause(LEFT_MS).then(() => ended.abort());
		signal.addEventListener("abort", left, { once: true });
		this.#begun[lane] += 1;
		try {
			const answer: HeavyAnswer = await this.#lane(lane).run({ ...asked, progress }, { signal: until });
			if ("value" in answer) return answer.value;
			throw data(answer.thrown.data, { status: answer.thrown.status });
		} catch (error) {
			const why = deadline.aborted ? tooLong(deadline_ms) : whyNotDone(error);
			throw why === null ? error : data({ said: why }, { status: 503 });
		} finally {
			this.#begun[lane] -= 1;
			signal.removeEventListener("abort", left);
		}
	}

	/**
	 * Ends all threads, each after what it does: one that is cut off while it waits for the database takes
	 * the process with it. None begins any more, of those that are being warmed neither.
	 */
	async close(): Promise<void> {
		this.#isClosed = true;
		await Promise.all(Object.values(this.#lanes).map((lane) => lane.close()));
	}
}

/** Done, and of how much: two whole numbers that two threads see. */
export function newProgress(): Int32Array {
	return new Int32Array(new SharedArrayBuffer(8));
}

function tooLong(deadline_ms: number): string {
	return `This took longer than ${Math.round(deadline_ms / 1000)} seconds and was stopped; nothing was changed. Ask for less at a time, or try again when it is quieter.`;
}

function whyNotDone(error: unknown): string | null {
	const { code, name } = error as { code?: string; name?: string };
	if (code === "ERR_WORKER_OUT_OF_MEMORY") {
		return "This needs more memory than there is; nothing was changed. Ask for less at a time.";
	}
	if (name === "AbortError") return "This was stopped; nothing was changed.";
	return null;
}

/** The file a thread runs. */
export interface HeavyWorker {
	readonly filename: string;
}

/** The worker of the build; of the sources where there is none. */
function builtWorker(): HeavyWorker {
	return import.meta.env.PROD
		? { filename: resolve("build/server/heavy.js") }
		: { filename: resolve("app/heavy.fromSource.mjs") };
}
