import { parentPort } from "node:worker_threads";
import { type BraiseGiven, sampledRange } from "#core/braise";

parentPort?.on("message", ({ given, samples }: { given: BraiseGiven; samples: number }) => {
	const start = performance.now();
	sampledRange(given, samples, 1);
	parentPort?.postMessage(performance.now() - start);
});
