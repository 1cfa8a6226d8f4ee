import { type Remote, wrap } from "comlink";
import { startTransition, useCallback, useEffect, useRef, useState } from "react";
import type { BraiseWorker } from "./braise.worker.ts";
import { NewestQuestion } from "./NewestQuestion.ts";

interface Answering<Asked, Result> {
	/** The newest that was answered; null before the first. */
	readonly result: Result | null;
	readonly state: "idle" | "busy" | "failed";
	readonly ask: (asked: Asked) => void;
}

interface Running {
	readonly worker: Worker;
	readonly remote: Remote<BraiseWorker>;
}

/** Asks the braise worker, one question at a time; a worker that broke down is begun anew. */
export function useBraiseWorker<Asked, Result>(
	put: (remote: Remote<BraiseWorker>, asked: Asked) => Promise<Result>,
): Answering<Asked, Result> {
	const [result, setResult] = useState<Result | null>(null);
	const [state, setState] = useState<Answering<Asked, Result>["state"]>("idle");
	const running = useRef<Running | null>(null);
	const putNow = useRef(put);
	putNow.current = put;
	const question = useRef<NewestQuestion<Asked, Result> | null>(null);

	const end = useCallback(() => {
		running.current?.worker.terminate();
		running.current = null;
	}, []);
	const begin = useCallback(() => {
		const asking = (asked: Asked) =>
			new Promise<Result>((resolve, reject) => {
				running.current ??= beginWorker();
				const { worker, remote } = running.current;
				// A worker that breaks down answers nothing; its failure is the answer.
				worker.onerror = (event) => reject(new Error(event.message || "the worker broke down"));
				putNow.current(remote, asked).then(resolve, reject);
			});
		return new NewestQuestion<Asked, Result>(asking, {
			onBusy: () => setState("busy"),
			// Drawn in pieces between the moves of a slider, never in front of them.
			onAnswer: (answer) => startTransition(() => setResult(() => answer)),
			onIdle: () => setState("idle"),
			onFailed: () => {
				end();
				setState("failed");
			},
		});
	}, [end]);
	const ask = useCallback(
		(asked: Asked) => {
			question.current ??= begin();
			question.current.ask(asked);
		},
		[begin],
	);
	useEffect(
		() => () => {
			question.current?.stop();
			question.current = null;
			end();
		},
		[end],
	);
	return { result, state, ask };
}

function beginWorker(): Running {
	const worker = new Worker(new URL("./braise.worker.ts", import.meta.url), { type: "module" });
	return { worker, remote: wrap<BraiseWorker>(worker) };
}
