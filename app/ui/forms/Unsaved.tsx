import { chakra } from "@chakra-ui/react/styled-system";
import { type RefObject, useCallback, useEffect, useRef, useState } from "react";
import { type Location, useBeforeUnload, useBlocker, useNavigate, useNavigation } from "react-router";
import { Act } from "../parts/parts.tsx";

/** The state of a link that says by its words that what was typed is left. */
export const LEAVES = "leaves";

const Bar = chakra("div", {
	base: {
		position: "fixed",
		insetInline: 0,
		bottom: 0,
		zIndex: 10,
		display: "flex",
		flexWrap: "wrap",
		alignItems: "center",
		gap: "8px 14px",
		padding: "12px 20px",
		bg: "note",
		borderTop: "6px solid",
		borderColor: "mahogany",
	},
});

interface UnsavedProps {
	/** What is typed in; its first button saves. */
	readonly form: RefObject<HTMLFormElement | null>;
	/** Whether the last save was taken. */
	readonly saved: boolean;
}

/** Asks before a link leaves behind what was typed and not saved. */
export function Unsaved({ form, saved }: UnsavedProps) {
	const shown = useRef("");
	const { state } = useNavigation();
	// What the form shows when it is drawn is what is stored; drawn anew after a save, it is that again.
	useEffect(() => {
		if (state === "idle" && saved) shown.current = typedIn(form.current);
	}, [state, saved, form]);
	const isDirty = useCallback(() => typedIn(form.current) !== shown.current, [form]);
	const blocker = useBlocker(
		({ currentLocation, nextLocation }) => currentLocation.pathname !== nextLocation.pathname && isDirty(),
	);
	useBeforeUnload(
		useCallback(
			(event) => {
				if (isDirty()) event.preventDefault();
			},
			[isDirty],
		),
	);
	const saveAndGo = useSaveAndGo(form, saved);
	if (blocker.state !== "blocked") return null;
	const { location, proceed, reset } = blocker;
	return (
		<Bar role="alertdialog" aria-label="Not saved yet" className="screenOnly">
			<b>What you typed here is not saved yet.</b>
			<Act
				type="button"
				kind="next"
				autoFocus
				onClick={() => {
					reset();
					saveAndGo(location);
				}}
			>
				Save it and go on
			</Act>
			<Act type="button" onClick={() => proceed()}>
				Go on without it
			</Act>
			<Act type="button" kind="quiet" onClick={() => reset()}>
				Stay here
			</Act>
		</Bar>
	);
}

/** Saves as the form's own button does; when that was taken, goes on. */
function useSaveAndGo({ current }: UnsavedProps["form"], saved: boolean): (to: Location) => void {
	const { state } = useNavigation();
	const navigate = useNavigate();
	const [goal, setGoal] = useState<Location | null>(null);
	const [sent, setSent] = useState(false);
	useEffect(() => {
		if (goal === null) return;
		if (state !== "idle") setSent(true);
		else if (sent) {
			setGoal(null);
			setSent(false);
			if (saved) void navigate(goal);
		}
	}, [goal, sent, state, saved, navigate]);
	return (to) => {
		setGoal(to);
		current?.requestSubmit(current.querySelector<HTMLButtonElement>("button:not([type=button])"));
	};
}

/** What a form holds, the page's own marks left out. */
function typedIn(form: HTMLFormElement | null): string {
	if (!form) return "";
	const fields = [...new FormData(form)].filter(([name]) => !OWN.has(name));
	return JSON.stringify(
		fields.map(([name, value]) => [name, typeof value === "string" ? value : value.name]),
	);
}

const OWN: ReadonlySet<string> = new Set(["version", "newId", "recipe", "intent"]);
