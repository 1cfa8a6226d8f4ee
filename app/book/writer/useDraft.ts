import isEqual from "fast-deep-equal";
import { type RefObject, useCallback, useEffect, useReducer, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { Draft } from "#core/recipe";
import { isNotSent } from "../../ui/forms/offline.ts";
import { begun, history } from "./draftHistory.ts";

/** How long typing has to rest before it is kept, ms; and between tries when nobody answers. */
const REST_MS = 700;
const AGAIN_MS = 4000;

/** What the server answers to a draft that was sent. */
export interface DraftKept {
	readonly version: number;
	readonly at: string;
	/** What does not hold as a recipe yet, by field. */
	readonly open: Readonly<Record<string, string>>;
}
export interface DraftStale {
	readonly stale: number;
}
/** What was typed cannot be kept as it is. */
export interface DraftRefused {
	readonly problems: readonly { readonly field: string; readonly message: string }[];
}

/** How safe what was typed is. */
export type Keeping = "kept" | "keeping" | "notSent" | "stale" | "refused";

export interface DraftInHand {
	readonly draft: Draft;
	readonly version: number;
	readonly keeping: Keeping;
	readonly keptAt: string;
	/** What the server found open in what it kept last. */
	readonly open: Readonly<Record<string, string>>;
	readonly restored: boolean;
	readonly canUndo: boolean;
	readonly canRedo: boolean;
	/** Makes a change; changes with one tag close together are undone as one. */
	change(draft: Draft, tag?: string): void;
	undo(): void;
	redo(): void;
	/** Puts this draft over what somebody else has written. */
	overwrite(): void;
}

interface Loaded {
	readonly id: string;
	readonly draft: Draft;
	readonly version: number;
	readonly at: string;
	readonly open: Readonly<Record<string, string>>;
}

/**
 * A draft in hand: undone and redone, sent as it is typed, and held at this desk until it has been.
 *
 * @param refused its version as the server kept it when it refused to number it
 */
export function useDraft(
	loaded: Loaded,
	form: RefObject<HTMLFormElement | null>,
	refused?: number,
): DraftInHand {
	const [state, move] = useReducer(history, begun(loaded.draft));
	const [version, setVersion] = useState(loaded.version);
	const [kept, setKept] = useState<Draft>(loaded.draft);
	const [keptAt, setKeptAt] = useState(loaded.at);
	const [open, setOpen] = useState(loaded.open);
	const [trouble, setTrouble] = useState<"notSent" | "stale" | "refused" | null>(null);
	const [theirs, setTheirs] = useState(0);
	const [restored, setRestored] = useState(false);
	const sent = useRef<Draft>(loaded.draft);
	const fetcher = useFetcher<DraftKept | DraftStale | DraftRefused>();

	const change = useCallback((draft: Draft, tag = "") => {
		move({ type: "change", draft, tag, at: Date.now() });
	}, []);

	useEffect(() => {
		const held = heldAt(loaded.id);
		if (held && held.version === loaded.version && !same(held.draft, loaded.draft)) {
			move({ type: "change", draft: held.draft, tag: "", at: Date.now() });
			setRestored(true);
		}
	}, [loaded.id, loaded.version, loaded.draft]);

	useEffect(() => {
		if (refused !== undefined) setVersion(refused);
	}, [refused]);

	const isDirty = state.now !== kept;
	useEffect(() => {
		if (isDirty) hold(loaded.id, { version, draft: state.now });
	}, [isDirty, state.now, version, loaded.id]);

	const { submit, state: sending, data: answer } = fetcher;
	useEffect(() => {
		if (!isDirty || sending !== "idle" || trouble === "stale") return;
		if (trouble === "refused" && state.now === sent.current) return;
		const timer = setTimeout(
			() => {
				if (!form.current) return;
				sent.current = state.now;
				const typed = new FormData(form.current);
				typed.set("intent", "keep");
				submit(typed, { method: "post" });
			},
			trouble === "notSent" ? AGAIN_MS : REST_MS,
		);
		return () => clearTimeout(timer);
	}, [isDirty, sending, trouble, state.now, submit, form]);

	useEffect(() => {
		if (sending !== "idle" || answer === undefined) return;
		if (isNotSent(answer)) setTrouble("notSent");
		else if ("stale" in answer) {
			setTrouble("stale");
			setTheirs(answer.stale);
		} else if ("problems" in answer) {
			setTrouble("refused");
			setOpen(Object.fromEntries(answer.problems.map(({ field, message }) => [field, message])));
		} else {
			setTrouble(null);
			setVersion(answer.version);
			setKept(sent.current);
			setKeptAt(answer.at);
			setOpen(answer.open);
			letGo(loaded.id);
		}
	}, [sending, answer, loaded.id]);

	return {
		draft: state.now,
		version,
		keeping: trouble ?? (isDirty || sending !== "idle" ? "keeping" : "kept"),
		keptAt,
		open,
		restored,
		canUndo: state.past.length > 0,
		canRedo: state.future.length > 0,
		change,
		undo: () => move({ type: "undo" }),
		redo: () => move({ type: "redo" }),
		overwrite: () => {
			setVersion(theirs);
			setTrouble(null);
		},
	};
}

interface Held {
	readonly version: number;
	readonly draft: Draft;
}

const nameOf = (id: string) => `wide-table draft ${id}`;

/** What this desk holds of a draft that was never sent. */
function heldAt(id: string): Held | null {
	try {
		const text = localStorage.getItem(nameOf(id));
		return text ? (JSON.parse(text) as Held) : null;
	} catch {
		return null;
	}
}

function hold(id: string, held: Held): void {
	try {
		localStorage.setItem(nameOf(id), JSON.stringify(held));
	} catch {
		// A browser that keeps nothing still sends what is typed.
	}
}

/** Forgets what this desk holds of a draft. */
export function letGo(id: string): void {
	try {
		localStorage.removeItem(nameOf(id));
	} catch {
		// Nothing was held.
	}
}

function same(draft: Draft, other: Draft): boolean {
	return isEqual(draft, other);
}
