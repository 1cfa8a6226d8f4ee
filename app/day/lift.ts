import { type Breaks, type DayChange, type InOven, type Verdict, verdictOf } from "#core/day";
import { clockTime, durationWords } from "#core/time";
import { counted } from "../ui/words/reading.ts";
import type { DayView, Stand, WallOven } from "./day.view.ts";

/** Pans in the hand, and the place over which they are held. */
export interface Lifted {
	readonly id: string;
	readonly oven: string;
	readonly start: number;
	/** The lowest rung; none where they are only moved in time. */
	readonly rung?: number;
}

/** What is lifted would do where it is held. */
export interface LiftView {
	readonly lifted: Lifted;
	readonly verdict: Verdict;
	/** As it would stand there; none where nothing suits it. */
	readonly ghost: Stand | null;
	readonly words: string;
	readonly breaks: readonly string[];
}

/** Five minutes: the step of every start. */
export const STEP_MS = 300_000;

/** What would be, at once, while the hand moves. */
export function liftView(view: DayView, lifted: Lifted | null): LiftView | null {
	const pans = view.liftables.find(({ id }) => id === lifted?.id);
	const oven = view.ovens.find(({ id }) => id === lifted?.oven);
	const stand = view.ovens.flatMap(({ stands }) => stands).find(({ id }) => id === lifted?.id);
	if (!lifted || !pans || !oven || !stand) return null;
	const verdict = verdictOf(pans, { oven, start: lifted.start }, inOvens(view.ovens));
	const clock = (at: number) => clockTime(at, view);
	const { use, waits_min } = verdict;
	const words = use
		? `${stand.tag} in the ${oven.name} at ${view.temperatures[use.set_C] ?? `${use.set_C} °C`}, ${clock(use.from)} to ${clock(use.to)}, was ${stand.inAt} to ${stand.out}. ${waits_min > 0 ? `Waits ${durationWords(waits_min)} when tender.` : ""}`
		: `${stand.tag} does not go into the ${oven.name}`;
	return {
		lifted,
		verdict,
		ghost: use
			? {
					...stand,
					from: use.from,
					to: use.to,
					inAt: clock(use.from),
					out: clock(use.to),
					set_C: use.set_C,
					rungs: Array.from({ length: use.rungs }, (_, up) => (lifted.rung ?? 0) + up),
				}
			: null,
		words,
		breaks: verdict.breaks.map((one) => breakWords(one, view, clock)),
	};
}

function inOvens(ovens: readonly WallOven[]): InOven[] {
	return ovens.flatMap(({ id: oven, stands }) =>
		stands.map(({ id, from, to, amount, set_C }) => ({ id, oven, from, to, rungs: amount, set_C })),
	);
}

function breakWords(broken: Breaks, view: DayView, clock: (at: number) => string): string {
	switch (broken.because) {
		case "noWay":
			return "no temperature of that oven suits it, or its pans do not go in";
		case "down":
			return "the oven is down then";
		case "tooFew":
			return `${counted(broken.short, "rung")} short from ${clock(broken.at)}`;
		case "otherHeat": {
			const other = view.ovens.flatMap(({ stands }) => stands).find(({ id }) => id === broken.id);
			return `${other?.tag ?? "another"} stands there at ${other?.set ?? ""}`;
		}
		case "late":
			return `${durationWords(broken.minutes)} later than it is wanted: what follows is pushed on`;
		case "notFilled":
			return `its pans are filled ${durationWords(broken.minutes)} later: what is before it starts sooner`;
	}
}

/** What putting it down there tells of the day; null where it would not have moved. */
export function pinOf(
	{ lifted, verdict }: LiftView,
	from: Stand | undefined,
	home: string,
): DayChange | null {
	if (!verdict.use) return null;
	const { id: task, oven, start, rung } = lifted;
	const moved = oven !== home || start !== from?.from || (rung !== undefined && rung !== from.rungs[0]);
	if (!moved) return null;
	return {
		kind: "pinned",
		task,
		start,
		oven,
		set_C: verdict.use.set_C,
		...(rung === undefined ? {} : { rung }),
	};
}

/** One step of an arrow key: minutes along the strip, ovens up and down. */
export function carried(view: DayView, lifted: Lifted, key: string): Lifted | null {
	const at = view.ovens.findIndex(({ id }) => id === lifted.oven);
	switch (key) {
		case "ArrowLeft":
			return { ...lifted, start: lifted.start - STEP_MS };
		case "ArrowRight":
			return { ...lifted, start: lifted.start + STEP_MS };
		case "ArrowUp":
		case "ArrowDown": {
			const next = view.ovens[at + (key === "ArrowUp" ? -1 : 1)];
			if (!next) return lifted;
			const { rung: _, ...rest } = lifted;
			return { ...rest, oven: next.id };
		}
		default:
			return null;
	}
}
