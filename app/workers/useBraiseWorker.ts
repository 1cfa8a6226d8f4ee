import { type Remote, wrap } from "comlink";
import { startTransition, useCallback, useEffect, useRef, useState } from "react";
import type { BraiseWorker } from "./braise.worker.ts";

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

/**
 * Asks the braise worker. One question is out at a time; while it is, only the newest further
 * one is kept, so that nothing queues up behind a moving slider.
 */
export function useBraiseWorker<Asked, Result>(
	put: (remote: Remote<BraiseWorker>, asked: Asked) => Promise<Result>,
): Answering<Asked, Result> {
	const [result, setResult] = useState<Result | null>(null);
	const [state, setState] = useState<Answering<Asked, Result>["state"]>("idle");
	const worker = useRef<Running | null>(null);
	const out = useRef(false);
	const next = useRef<{ asked: Asked } | null>(null);
	const putNow = useRef(put);
	putNow.current = put;

	const run = useCallback(async () => {
		const running = begin(worker, () => setState("failed"));
		out.current = true;
		setState("busy");
		while (next.current) {
			const { asked } = next.current;
			next.current = null;
			const answer = await putNow.current(running, asked);
			// Drawn in pieces between the moves of a slider, never in front of them.
			startTransition(() => setResult(() => answer));
		}
		out.current = false;
		setState("idle");
	}, []);
	const ask = useCallback(
		(asked: Asked) => {
			next.current = { asked };
			if (!out.current) run().catch(() => setState("failed"));
		},
		[run],
	);
	useEffect(
		() => () => {
			worker.current?.worker.terminate();
			worker.current = null;
			out.current = false;
		},
		[],
	);
	return { result, state, ask };
}

function begin(kept: { current: Running | null }, onFailed: () => void): Remote<BraiseWorker> {
	if (kept.current) return kept.current.remote;
	const worker = new Worker(new URL("./braise.worker.ts", import.meta.url), { type: "module" });
	worker.onerror = onFailed;
	const remote = wrap<BraiseWorker>(worker);
	kept.current = { worker, remote };
	return remote;
}
