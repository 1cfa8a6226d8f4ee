import { once } from "node:events";
import { createRequire } from "node:module";
import { Worker } from "node:worker_threads";
import { alongProbe, type BraiseGiven, braise, simulate, softeningRate, usualPan } from "#core/braise";
import { BATH_W_PER_M2K, bodyOf, LIQUID_J_PER_KGK, outsideOf, pieceHeat, STEEL_J_PER_KGK } from "#core/heat";
import { cools, heats, journey, type Stage, stands } from "#core/journey";
import { emptyPanWeight } from "#core/pans";
import { reheatMinutes } from "#core/reheat";
import { median, report, timed } from "./table.ts";

const DAY_MIN = 1440;
const SAMPLES = 500;

interface General {
	absoluteTolerance: number;
	relativeTolerance: number;
	maxSteps: number;
	/** Of its x, here seconds. */
	maxStepSize: number;
	solve(f: (x: number, y: number[]) => number[], x: number, y: number[], end: number): { y: number[] };
}
/** It is built for require alone. */
const { Solver } = createRequire(import.meta.url)("odex") as { Solver: new (n: number) => General };

const STEW = { depth_mm: 100, consistency: "stew" } as const;
const GN = { gn: "1/1", depth_mm: 150 } as const;

/** Chilled food made hot again, and a whole way from the lift to the plate. */
function benchBodies(): void {
	const tray = { ...STEW, pan: GN, lid: "foil", heat: { kind: "fanOven", set_C: 150 }, start_C: 4 } as const;
	const minutes = reheatMinutes(tray, 75) ?? 0;
	const reheat_ms = median(timed(60, () => reheatMinutes(tray, 75)));
	report(`a chilled tray made hot, ${Math.round(minutes)} min`, `${reheat_ms.toFixed(1)} ms`, "under 10 ms");
	const way: readonly Stage[] = [
		stands({ kind: "stand", minutes: 20 }, 22),
		cools({ kind: "chill", minutes: 300 }, "blast", -2),
		stands({ kind: "store", minutes: 2880 }, 3),
		heats({ kind: "reheat", minutes: 180 }, { kind: "fanOven", set_C: 150 }, "foil", GN),
		stands({ kind: "hold", minutes: 60 }, 70),
	];
	const way_ms = median(timed(60, () => journey([{ travels: STEW, stages: way }], 85)));
	report("a whole way, from the lift to the plate", `${way_ms.toFixed(1)} ms`, "under 30 ms");
}

/** One pan through a day, alone and against a general solver; the ranges by sampling; memory. */
export async function benchBraise(): Promise<void> {
	console.log("\nThe braise");
	const oven = usualPan("goatShoulder", {
		shape: "cylinder",
		diameter_mm: 50,
		length_mm: 110,
		weight_g: 220,
	});
	const bath: BraiseGiven = { ...oven, lid: "sealed", heat: { kind: "waterBath", set_C: 70 } };
	const day_ms = median(timed(60, () => simulate(bath, { minutes: DAY_MIN })));
	report("24 h of one pan", `${day_ms.toFixed(1)} ms`, "under 5 ms");
	const whole_ms = median(timed(60, () => braise(oven)));
	report("four marks of one pan with their ranges", `${whole_ms.toFixed(1)} ms`);
	benchBodies();
	benchAgainstGeneral(bath);
	await benchSamples(oven);
	benchMemory(oven);
}

/**
 * A sealed bag in a bath without juice: the same equations for both. The general solver is given
 * the loosest tolerance that is as near to the truth as ours.
 */
function benchAgainstGeneral(bath: BraiseGiven): void {
	const given = { ...bath, cookingLoss: 0 };
	const ours = () => simulate(given, { minutes: DAY_MIN, every_min: DAY_MIN });
	const truth = generally(given, 1e-11);
	const off = (softened: number) => Math.abs(softened / truth - 1);
	const ours_off = off(ours().points.at(-1)?.softened ?? 0);
	const tolerance = [1e-2, 1e-3, 1e-4, 1e-5, 1e-6, 1e-7].find(
		(loose) => off(generally(given, loose)) <= ours_off,
	);
	timed(60, ours);
	timed(20, () => generally(given, tolerance ?? 1e-8));
	const ours_ms = median(timed(60, ours));
	const general_ms = median(timed(20, () => generally(given, tolerance ?? 1e-8)));
	report(
		"a general solver over ours, equal accuracy",
		`${(general_ms / ours_ms).toFixed(1)} ×`,
		`at least 10 ×; ${(ours_off * 100).toFixed(3)} % off, its tolerance ${tolerance ?? 1e-8}`,
	);
}

/** Layers, liquid and softening through a day by the general solver. @returns the softening */
function generally(given: BraiseGiven, tolerance: number): number {
	const { sides, meat_kg, liquid_l, pan, heat, start } = given;
	const meat = pieceHeat({ body: bodyOf(sides), weight_kg: meat_kg, start_C: start.meat_C });
	const layers = meat.C.length;
	const liquid_JK = liquid_l * LIQUID_J_PER_KGK + emptyPanWeight(pan) * STEEL_J_PER_KGK;
	const coupling_WK = BATH_W_PER_M2K * outsideOf(pan);
	const set_C = "set_C" in heat ? heat.set_C : 0;
	const factor = simulateFactor(given);
	const solver = new Solver(2 * layers + 1);
	solver.absoluteTolerance = tolerance;
	solver.relativeTolerance = tolerance;
	solver.maxSteps = 1e6;
	// Longer steps can leave what is stable for good at the loosest tolerance.
	solver.maxStepSize = 60;
	const change = (_: number, y: number[]): number[] => {
		const next = new Array<number>(2 * layers + 1);
		let inner_W = 0;
		for (let layer = 0; layer < layers; layer += 1) {
			const outer_W = (meat.link_WK[layer] as number) * ((y[layer + 1] as number) - (y[layer] as number));
			next[layer] = (outer_W - inner_W) / (meat.capacity_JK[layer] as number);
			inner_W = outer_W;
		}
		next[layers] = (coupling_WK * (set_C - (y[layers] as number)) - inner_W) / liquid_JK;
		for (let layer = 0; layer < layers; layer += 1) {
			next[layers + 1 + layer] = (factor * softeningRate(y[layer] as number)) / 60;
		}
		return next;
	};
	const first = [...meat.C, start.liquid_C, ...meat.C.map(() => 0)];
	return alongProbe(solver.solve(change, 0, first, DAY_MIN * 60).y.slice(layers + 1));
}

/** How fast this cut softens, found from our own run: the same figure for both. */
function simulateFactor(given: BraiseGiven): number {
	const hot: BraiseGiven = {
		...given,
		start: { meat_C: 60, liquid_C: 60 },
		heat: { kind: "waterBath", set_C: 60 },
	};
	const softened = simulate(hot, { minutes: 60, every_min: 60 }).points.at(-1)?.softened ?? 0;
	return softened / (60 * softeningRate(60));
}

async function benchSamples(given: BraiseGiven): Promise<void> {
	// A worker starts as plain JavaScript and takes TypeScript in by itself.
	const file = JSON.stringify(new URL("./samples.worker.ts", import.meta.url).href);
	const start = `import("tsx/esm/api").then(({ register }) => { register(); return import(${file}); })`;
	const worker = new Worker(start, { eval: true });
	const runs: number[] = [];
	for (let run = 0; run < 6; run += 1) {
		worker.postMessage({ given, samples: SAMPLES });
		const [ms] = (await once(worker, "message")) as [number];
		runs.push(ms);
	}
	await worker.terminate();
	report(`${SAMPLES} samples for a range, in a worker`, `${median(runs).toFixed(0)} ms`, "under 400 ms");
}

function benchMemory(given: BraiseGiven): void {
	const kept = Array.from({ length: 50 }, () => braise(given));
	const held_kB = JSON.stringify(kept[0]?.likely.points).length / 1000;
	const before = process.memoryUsage();
	for (let run = 0; run < 500; run += 1) braise(given);
	const after = process.memoryUsage();
	const grown_MB = (after.heapUsed + after.arrayBuffers - before.heapUsed - before.arrayBuffers) / 1e6;
	report("the kept course of one pan", `${held_kB.toFixed(0)} kB`);
	report("heap grown over 500 pans, before it is cleared", `${Math.max(0, grown_MB).toFixed(0)} MB`);
}
