import { proxy, type Remote, wrap } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { MixedPacking } from "#core/pans";
import type { PackingAsked, PackingWorker } from "../../workers/packing.worker.ts";

export type Packing =
	| { readonly state: "idle" }
	| { readonly state: "running"; readonly share: number; readonly pans: number | null }
	| { readonly state: "done"; readonly packed: MixedPacking }
	| { readonly state: "failed" };

interface Running {
	readonly worker: Worker;
	readonly remote: Remote<PackingWorker>;
}

/** Packs in a worker of its own: one task at a time, the newest wins, and it can be stopped. */
export function usePacking() {
	const [packing, setPacking] = useState<Packing>({ state: "idle" });
	const running = useRef<Running | null>(null);
	const stop = useCallback(() => {
		running.current?.worker.terminate();
		running.current = null;
		setPacking({ state: "idle" });
	}, []);
	const start = useCallback(async (asked: PackingAsked) => {
		running.current?.worker.terminate();
		const worker = new Worker(new URL("../../workers/packing.worker.ts", import.meta.url), {
			type: "module",
		});
		const mine = { worker, remote: wrap<PackingWorker>(worker) };
		running.current = mine;
		setPacking({ state: "running", share: 0, pans: null });
		const onPacking = proxy((share: number, pans: number) => {
			if (running.current === mine) setPacking({ state: "running", share, pans });
		});
		const failing = new Promise<never>((_, reject) => {
			worker.onerror = (event) => reject(new Error(event.message));
		});
		const next = await Promise.race([mine.remote.pack(asked, onPacking), failing]).then(
			(packed): Packing => ({ state: "done", packed }),
			(): Packing => ({ state: "failed" }),
		);
		if (running.current !== mine) return;
		worker.terminate();
		running.current = null;
		setPacking(next);
	}, []);
	useEffect(() => () => running.current?.worker.terminate(), []);
	return { packing, start, stop };
}
