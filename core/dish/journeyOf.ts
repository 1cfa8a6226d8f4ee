import { maxBy } from "es-toolkit";
import { CHILL_FILM_W_PER_M2K, underLid_W_per_M2K } from "../chill/index.ts";
import {
	braises,
	chilledAs,
	follows,
	type JourneyPoint,
	journey,
	type Leg,
	reheatedAs,
	type Stage,
	type StageKind,
	type StageSpan,
	stands,
	type Travels,
	travelsIn,
} from "../journey/index.ts";
import type { HousePolicy } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import { type ChosenPan, rimSpan } from "../pans/index.ts";
import { type Growth, KILL_TABLES } from "../safety/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { isOfLastGo, type Plan, taskAt } from "./Plan.ts";
import type { BraiseGroup } from "./planBraise.ts";
import { depthOfFood, KITCHEN_C } from "./planChill.ts";
import { isMadeAhead } from "./planLiquid.ts";

/** How the food of a dish goes from the bench to the plate: the pans that are the slowest, of the last filling. */
export interface DishJourney {
	readonly stages: readonly StageSpan[];
	/** Minutes from the first stage. */
	readonly course: readonly JourneyPoint[];
	/** At the point where it is most, powers of ten. */
	readonly growth: Growth;
	/** Minutes at the reference temperature of the house's table, at the point where they are least. */
	readonly lethality_min: number;
}

const memo = memoise<string, Pick<DishJourney, "course" | "growth" | "lethality_min">>(60);

/** Bought meat comes out of the cold, °C; and a cold room keeps what was chilled at its usual 3 °C, or the code's own. */
const COLD_C = 4;
const STORED_C = 3;
/** What waits longer than this before the pan is not left on the bench, minutes. */
const BENCH_MIN = 45;

/**
 * The way of a placed dish from the bench to the plate, as its own braise, cooling and reheating go.
 *
 * @returns null where it has no pan, or is cooled and the kitchen has nothing that cools
 * @see model, section H
 */
export function journeyOf(plan: Plan, policy: Pick<HousePolicy, "code">): DishJourney | null {
	const slowest = plan.braise?.slowest;
	const pan = slowest?.pans[0];
	// Cooled with nobody knows what: nor does anybody know how.
	if (!slowest || !pan || (isMadeAhead(plan.recipe) && !plan.chill)) return null;
	const into = plan.tasks.find((task) => task.part === "oven" && task.figures.group === slowest.id);
	if (!into) return null;
	const out = into.start + slowest.allowed_min * MINUTE_MS;
	const legs = [rawLeg(plan, slowest, into, out), ...afterLift(plan, pan, policy, out)].filter(
		({ timed }) => timed.length > 0,
	);
	const stages = legs.flatMap(({ timed }) => timed.map(({ kind, from, to }) => ({ kind, from, to })));
	const walked = memo(JSON.stringify([legs.map(({ key }) => key), stages, policy.code.kill]), () => {
		const { ref_C, z_C } = KILL_TABLES[policy.code.kill];
		const all = legs.map(
			({ travels, timed }): Leg => ({ travels, stages: timed.map(({ stage }) => stage()) }),
		);
		const { course, growth, lethality_min } = journey(all, COLD_C, { ref_C, z_C });
		return { course, growth, lethality_min };
	});
	return { stages, ...walked };
}

type OfStage = Pick<Stage, "kind" | "minutes">;

/** A stage on the clock; what its faces meet is worked out when it is walked. */
interface Timed extends StageSpan {
	readonly stage: () => Stage;
}

/** One body with what happens to it, and what tells it from any other. */
interface DishLeg {
	readonly travels: Travels;
	readonly timed: readonly Timed[];
	readonly key: unknown;
}

function timed(kind: StageKind, from: number, to: number, stage: (of: OfStage) => Stage): Timed[] {
	const minutes = (to - from) / MINUTE_MS;
	return minutes > 0 ? [{ kind, from, to, stage: () => stage({ kind, minutes }) }] : [];
}

/** The piece: on the bench while it is worked on, and in its pan until it is lifted. */
function rawLeg(plan: Plan, slowest: BraiseGroup, into: PlacedTask, out: number): DishLeg {
	const { given } = slowest;
	const worked = plan.tasks.filter(
		(task) =>
			(task.place === "sear" || task.place === "panUp") &&
			(task.figures.go ?? 1) === slowest.go &&
			task.end <= into.start,
	);
	const bench = worked.flatMap((task, index) => {
		const next = worked[index + 1]?.start ?? into.start;
		const waits_min = (next - task.end) / MINUTE_MS;
		return [
			...timed("stand", task.start, task.end, (of) => stands(of, KITCHEN_C)),
			...timed(waits_min > BENCH_MIN ? "store" : "stand", task.end, next, (of) =>
				stands(of, waits_min > BENCH_MIN ? COLD_C : KITCHEN_C),
			),
		];
	});
	return {
		travels: { sides: given.sides, boneShare: given.boneShare ?? 0 },
		timed: [...bench, ...timed("heat", into.start, out, (of) => braises(of, given))],
		key: given,
	};
}

/** The food in its vessels: standing, cooled, kept, made hot, held and carried. */
function afterLift(plan: Plan, pan: ChosenPan, policy: Pick<HousePolicy, "code">, out: number): DishLeg[] {
	const plate = taskAt(plan, "plate");
	if (!plate) return [];
	const whole = layerOf(pan, depthOfFood(pan));
	const hot = (from: number): Timed[] => carriedBetween(plan, from, plate.end, keptHot(plan));
	const served = { travels: whole, key: [pan, plan.carry?.box, plan.carry?.choice] };
	const cold = lastOf(plan, "chill");
	const again = lastOf(plan, "reheat");
	if (!cold || !plan.chill) return [{ ...served, timed: hot(out) }];
	const { given } = plan.chill.way;
	const stored_C = Math.min(STORED_C, policy.code.keepCold_C);
	const stored: Waits = (from, to) => timed("store", from, to, (of) => stands(of, stored_C));
	const chilled: DishLeg = {
		travels: { depth_mm: given.depth_mm, consistency: given.consistency },
		timed: [
			...timed("stand", out, cold.start, underLid),
			...timed("chill", cold.start, cold.end, (of) => chilledAs(of, given)),
			...(again ? stored(cold.end, again.start) : carriedBetween(plan, cold.end, plate.end, stored)),
		],
		key: [given, stored_C, plan.carry?.box],
	};
	if (!again || !plan.reheat) return [chilled];
	const { block, course } = plan.reheat;
	const made = (of: OfStage) => (block ? reheatedAs(of, block) : follows(of, course));
	const reheated: DishLeg = {
		travels: block ? layerOf(pan, block.depth_mm) : whole,
		timed: timed("reheat", again.start, again.end, made),
		key: block ?? course,
	};
	return [chilled, reheated, { ...served, timed: hot(again.end) }];
}

/** How food waits between two instants. */
type Waits = (from: number, to: number) => Timed[];

/** Under its lid, or held where it is held. */
function keptHot({ hold, hold_min }: Plan): Waits {
	return (from, to) =>
		hold && hold_min > 0
			? timed("hold", from, to, (of) => stands(of, hold.held_C, HELD_W_PER_M2K))
			: timed("stand", from, to, underLid);
}

/** Waits until the road, is carried, and waits for its plates where it is served. */
function carriedBetween({ carry, tasks }: Plan, from: number, to: number, waits: Waits): Timed[] {
	const road = tasks.find(({ part }) => part === "carry");
	if (!road || !carry) return waits(from, to);
	const { box, choice } = carry;
	const there = road.start + choice.minutes * MINUTE_MS;
	const inBox = (of: OfStage) =>
		travelsIn(of, { UA_W_per_K: box.UA_W_per_K, mass_kg: box.mass_kg }, choice.air_C);
	return [...waits(from, road.start), ...timed("carry", road.start, there, inBox), ...waits(there, to)];
}

/** Steam and water round a pan that is held hot, W/m²K. General practice. */
const HELD_W_PER_M2K = 100;

function underLid(of: OfStage): Stage {
	const film = CHILL_FILM_W_PER_M2K.walkIn.likely;
	const C = KITCHEN_C;
	const faces = {
		foot: { film_W_per_M2K: film, C },
		top: { film_W_per_M2K: underLid_W_per_M2K(film), C },
		sides: { film_W_per_M2K: film, C },
	};
	return { ...of, meets: () => faces };
}

function layerOf({ type: { shape } }: ChosenPan, depth_mm: number): Travels {
	return { depth_mm, ...rimSpan(shape), consistency: "stew" };
}

/** The last task of a part, of the last filling. */
function lastOf({ tasks }: Plan, part: PlacedTask["part"]): PlacedTask | undefined {
	return maxBy(
		tasks.filter((task) => task.part === part && isOfLastGo(task)),
		({ end }) => end,
	);
}
