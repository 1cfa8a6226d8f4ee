import type { Draft } from "#core/recipe";

/** Changes of one field closer together than this are one step of undo, ms. */
export const ONE_STEP_MS = 1200;
/** Steps that can be undone. */
export const STEPS = 200;

/** A draft with the steps before it and those that were taken back. */
export interface History {
	readonly past: readonly Draft[];
	readonly now: Draft;
	readonly future: readonly Draft[];
	/** What the last change was made to, and when. */
	readonly tag: string;
	readonly at: number;
}

export type Move =
	| { readonly type: "change"; readonly draft: Draft; readonly tag: string; readonly at: number }
	| { readonly type: "undo" }
	| { readonly type: "redo" };

/** The draft after a change, or one step back or forth. */
export function history(state: History, move: Move): History {
	if (move.type === "change") {
		if (move.draft === state.now) return state;
		const joins = move.tag !== "" && move.tag === state.tag && move.at - state.at < ONE_STEP_MS;
		const past = joins ? state.past : [...state.past, state.now].slice(-STEPS);
		return { past, now: move.draft, future: [], tag: move.tag, at: move.at };
	}
	const [from, to] = move.type === "undo" ? [state.past, state.future] : [state.future, state.past];
	const next = from.at(-1);
	if (!next) return state;
	const rest = from.slice(0, -1);
	const kept = [...to, state.now];
	return move.type === "undo"
		? { past: rest, now: next, future: kept, tag: "", at: 0 }
		: { past: kept, now: next, future: rest, tag: "", at: 0 };
}

/** A draft that nothing has happened to. */
export function begun(draft: Draft): History {
	return { past: [], now: draft, future: [], tag: "", at: 0 };
}
