import { chillTyped } from "../../ui/forms/settled.ts";
import { type Measures, measuresIn } from "../../ui/words/measures.ts";
import type { ChillCutView } from "./chill.view.ts";

/** What the cut says of a depth while it moves. */
export interface DepthState {
	readonly depth_mm: number;
	/** How far the food is spread: so many times the floor of its pans. */
	readonly parts: number;
	readonly words: string;
	readonly isOver: boolean;
}

/** A depth to which food can be spread in pans of its own kind, whole mm. */
export function depthAt(mm: number, { whole_mm, least_mm }: ChillCutView): number {
	return Math.min(whole_mm, Math.max(least_mm, Math.round(mm)));
}

export function depthState(view: ChillCutView, depth_mm: number): DepthState {
	const { length } = measuresIn(view.units);
	const parts = partsFor(view, depth_mm);
	const spread = parts === 1 ? "as it is" : `over ${parts} times the floor`;
	return {
		depth_mm,
		parts,
		words: `${length(depth_mm)} deep, ${spread}: ${limitWords(view, depth_mm, length)}`,
		isOver: view.deepest_mm === null || depth_mm > view.deepest_mm,
	};
}

/** Spread far enough to lie no deeper than asked, hundredths of the floor. */
function partsFor({ whole_mm }: ChillCutView, depth_mm: number): number {
	return Math.ceil((whole_mm / depth_mm) * 100 - 1e-9) / 100;
}

function limitWords({ deepest_mm }: ChillCutView, depth_mm: number, length: Measures["length"]): string {
	if (deepest_mm === null) return "no depth meets it in there";
	return depth_mm <= deepest_mm
		? `meets every limit, as up to about ${length(deepest_mm)} does`
		: `too deep by about ${length(depth_mm - deepest_mm)}`;
}

/** What the control is given for a depth. */
export function typedFor({ coolerId, ice }: ChillCutView, { parts }: DepthState): string {
	return chillTyped({ coolerId, parts, ice });
}

/** Where a key takes it; page keys to the depth that meets the limits and to the ends. */
export function steppedTo(key: string, view: ChillCutView, depth_mm: number): number | undefined {
	switch (key) {
		case "ArrowUp":
		case "ArrowRight":
			return depth_mm + 1;
		case "ArrowDown":
		case "ArrowLeft":
			return depth_mm - 1;
		case "PageDown":
			return depth_mm > (view.deepest_mm ?? 0) ? (view.deepest_mm ?? view.least_mm) : view.least_mm;
		case "PageUp":
		case "End":
			return view.whole_mm;
		case "Home":
			return view.least_mm;
		default:
			return undefined;
	}
}
