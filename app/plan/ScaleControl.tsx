import { chakra } from "@chakra-ui/react/styled-system";
import { useCallback, useEffect, useRef, useState } from "react";
import { Form, Link, useNavigation, useSearchParams, useSubmit } from "react-router";
import { TRIAL } from "../places/setTrial.ts";
import { MomentField } from "../ui/forms/DayField.tsx";
import { Choice, Field, Slot } from "../ui/forms/Field.tsx";
import type { Wrong } from "../ui/forms/form.ts";
import { Act, ActLink, Key } from "../ui/parts/parts.tsx";
import { counted } from "../ui/words/reading.ts";
import type { LongTableView } from "./longTable.view.ts";

const Box = chakra("fieldset", {
	base: {
		bg: "sheet",
		display: "flex",
		flexWrap: "wrap",
		alignItems: "stretch",
		// Only the figures that the chosen way needs are shown; the others stay as they were typed.
		"&:not(:has([value=covers]:checked)) [data-for=covers]": { display: "none" },
		"&:not(:has([value=onHand]:checked)) [data-for=onHand]": { display: "none" },
		"&:not(:has([value=pans]:checked)) [data-for=pans]": { display: "none" },
	},
});
const Segments = chakra("div", {
	base: { display: "flex", flexWrap: "wrap", flex: { base: "1 1 100%", lg: "0 0 auto" } },
});
const Segment = chakra("label", {
	base: {
		position: "relative",
		flex: { base: "1 1 auto", lg: "0 1 auto" },
		padding: { base: "9px 16px 11px", lg: "6px 12px 4px" },
		cursor: "pointer",
		color: "muted",
		borderInlineEnd: "1px solid",
		borderColor: "hair",
		"& b": {
			display: "block",
			fontFamily: "head",
			fontWeight: 500,
			fontSize: { base: "20px", lg: "18px" },
			lineHeight: 1.2,
			whiteSpace: "nowrap",
		},
		"& input": {
			position: "absolute",
			opacity: 0,
			inset: 0,
			width: "100%",
			height: "100%",
			margin: 0,
			cursor: "pointer",
		},
		"&:has(:checked)": { color: "ink", boxShadow: "inset 0 -4px 0 var(--wt-colors-ink)" },
		"&:has(:checked) b": { fontWeight: 700 },
		"&:has(:focus-visible)": { outline: "3px solid", outlineColor: "focus", outlineOffset: "-3px" },
	},
});
const Inputs = chakra("div", {
	base: {
		display: "flex",
		flexWrap: "wrap",
		gap: { base: "8px 12px", lg: "8px 10px" },
		padding: { base: "6px 16px 10px", lg: "0 10px 4px 14px" },
		alignItems: "flex-start",
		flex: { base: "1 1 100%", lg: "1 1 0" },
	},
});
/** On a telephone the figures are folded under one line; a cook at the stove changes nothing. */
const Folded = chakra("div", {
	base: {
		display: "contents",
		"& > input": { position: "absolute", opacity: 0, pointerEvents: "none" },
		"& > label": {
			flex: "1 1 100%",
			display: { base: "flex", md: "none" },
			alignItems: "center",
			justifyContent: "space-between",
			gap: "10px",
			minHeight: "48px",
			padding: "6px 16px",
			cursor: "pointer",
		},
		"& > label::after": { content: '"Change ▸"', textDecoration: "underline" },
		"& > input:checked + label::after": { content: '"Fold ▾"' },
		"& > input:focus-visible + label": { outline: "3px solid", outlineColor: "focus", outlineOffset: "-3px" },
		"& > input:not(:checked) ~ div": { display: { base: "none", md: "flex" } },
	},
});

/** How long typing may pause before the table follows, ms. */
const PAUSE_MS = 180;
/** What drawings put into the form; nobody types in these. */
const SETTLED = ["wishes", "line", "colour", "chill", "cook", "swaps", "byProducts"] as const;

function settledIn(form: HTMLFormElement): Record<string, string> {
	const typed = new FormData(form);
	return Object.fromEntries(SETTLED.map((name) => [name, String(typed.get(name) ?? "")]));
}

interface ScaleControlProps {
	readonly view: LongTableView;
	readonly wrong: Wrong;
	readonly version: number;
}

/**
 * One control for the size of the batch and the hour of service. It is a form of its
 * own address: what is typed is tried at once and the table shows what would move; it
 * is stored when it is taken.
 */
export function ScaleControl({ view, wrong, version }: ScaleControlProps) {
	const form = useRef<HTMLFormElement>(null);
	const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
	const submit = useSubmit();
	const [address] = useSearchParams();
	const { typed, segments, panTypes } = view.control;
	// Whoever has just chosen a place stays there, though it is still on its way.
	const { location: coming } = useNavigation();
	const place = (coming ? new URLSearchParams(coming.search) : address).get("place") ?? "";
	const tried = address.has("basis");
	useEffect(() => {
		if (!tried) form.current?.reset();
	}, [tried]);
	const [settled, setSettled] = useState(typed);
	// An answer to an earlier trial does not take back what has been changed since.
	useEffect(() => {
		if (timer.current === undefined) setSettled(typed);
	}, [typed]);
	const follow = useCallback(() => {
		clearTimeout(timer.current);
		timer.current = setTimeout(() => {
			timer.current = undefined;
			if (form.current) submit(form.current, { method: "get", replace: true, preventScrollReset: true });
		}, PAUSE_MS);
	}, [submit]);
	useEffect(() => {
		const element = form.current;
		const answer = (event: Event) => {
			event.preventDefault();
			// Whatever else the table draws meanwhile, it draws with what was put in here.
			if (element) setSettled((before) => ({ ...before, ...settledIn(element) }));
			follow();
		};
		element?.addEventListener(TRIAL, answer);
		return () => element?.removeEventListener(TRIAL, answer);
	}, [follow]);
	return (
		<Form
			method="get"
			ref={form}
			onChange={follow}
			// What is taken needs no trying any more.
			onSubmit={() => {
				clearTimeout(timer.current);
				timer.current = undefined;
			}}
			id="scale"
			preventScrollReset
		>
			<input type="hidden" name="place" value={place} />
			<input type="hidden" name="version" value={version} />
			{SETTLED.map((name) => (
				<input key={name + settled[name]} type="hidden" name={name} defaultValue={settled[name]} />
			))}
			<Box>
				<chakra.legend srOnly>Size of the batch and hour of service</chakra.legend>
				<Folded>
					<chakra.input
						type="checkbox"
						id="scale-open"
						hideFrom="md"
						aria-label="Change the size and the hour"
						defaultChecked={Object.keys(wrong).length > 0}
						// Folding and unfolding tries nothing.
						onChange={(event) => event.stopPropagation()}
					/>
					<label htmlFor="scale-open">
						<b>{segments.find(({ basis }) => basis === typed.basis)?.figure}</b>
					</label>
					<Segments role="radiogroup" aria-label="Scale from">
						{segments.map(({ basis, label, figure }) => (
							<Segment key={basis}>
								<input type="radio" name="basis" value={basis} defaultChecked={typed.basis === basis} />
								{label}
								<b>{figure}</b>
							</Segment>
						))}
					</Segments>
					<Inputs>
						<Slot flexGrow="1" data-for="covers" width="64px">
							<Field
								label="Covers"
								name="covers"
								inputMode="numeric"
								defaultValue={typed.covers}
								wrong={wrong.covers}
								aria-keyshortcuts="c"
								data-key-name="Covers"
							/>
						</Slot>
						<Slot flexGrow="1" data-for="covers" width="78px">
							<Field
								label="Uptake"
								name="uptake"
								after={view.control.uptakeAfter}
								defaultValue={typed.uptake}
								wrong={wrong.uptake}
							/>
						</Slot>
						<Slot flexGrow="1" data-for="covers" width="70px">
							<Field
								label="Spare"
								name="spare"
								inputMode="decimal"
								after="%"
								defaultValue={typed.spare}
								wrong={wrong.spare}
							/>
						</Slot>
						<Slot flexGrow="1" data-for="onHand" width="180px">
							<Field
								label="Weight on hand"
								name="onHand"
								defaultValue={typed.onHand}
								wrong={wrong.onHand}
								aria-keyshortcuts="w"
								data-key-name="Weight on hand"
							/>
						</Slot>
						<Slot flexGrow="1" data-for="pans" width="140px">
							<Field
								label="Number of pans"
								name="pans"
								inputMode="numeric"
								defaultValue={typed.pans}
								wrong={wrong.pans}
								aria-keyshortcuts="w"
								data-key-name="Number of pans"
							/>
						</Slot>
						<Slot flexGrow="1" width="104px">
							<Choice label="Kind of pan" name="panType" defaultValue={typed.panType} wrong={wrong.panType}>
								<option value="">Best fit</option>
								{panTypes.map(({ id, name, stock }) => (
									<option key={id} value={id}>
										{name} ({stock})
									</option>
								))}
							</Choice>
						</Slot>
						<Slot flexGrow="1" width="126px">
							<Choice label="Cooked" name="ahead" defaultValue={typed.ahead} wrong={wrong.ahead}>
								<option value="">by the card</option>
								<option value="no">same day</option>
								<option value="yes">day before</option>
							</Choice>
						</Slot>
						<Slot flexGrow="1" width="188px" flexShrink="0">
							<MomentField label="Service" typed={typed} wrong={wrong} />
						</Slot>
					</Inputs>
				</Folded>
				{view.changed ? (
					<Taking view={view} place={place} />
				) : (
					<noscript>
						<Act formMethod="get">Try it</Act>
					</noscript>
				)}
			</Box>
		</Form>
	);
}

interface TakingProps {
	readonly view: LongTableView;
	readonly place: string;
}

/** So many of the others of the day are named; the day has them all. */
const NAMED = 3;

/** What is tried is not yet so: what it brings, what it costs the others of the day, and both ways out. */
function Taking({ view: { sitting, table, costs, day }, place }: TakingProps) {
	const [worst, ...others] = table?.brings ?? [];
	const more = costs.length - NAMED;
	return (
		<chakra.div
			flex="1 1 100%"
			bg="note"
			borderLeft="6px solid"
			borderColor="ink"
			padding="4px 14px"
			display="flex"
			flexWrap="wrap"
			alignItems="center"
			gap="4px 16px"
			role="status"
		>
			<chakra.span flex="1 1 260px">
				<b>On trial.</b>{" "}
				{worst === undefined ? null : (
					<>
						▲ {worst}
						{others.length > 0 ? ` And ${counted(others.length, "more warning")} below.` : ""}{" "}
					</>
				)}
				{sitting.others > 0 ? "Covers and service hold for the whole sitting." : ""}
				{table && costs.length > 0 ? (
					<chakra.span display="block" data-costs>
						{costs
							.slice(0, NAMED)
							.map(({ words }) => words)
							.join(" · ")}
						{more > 0 ? ` · ${more} more` : ""}. <Link to={day}>The day</Link>
					</chakra.span>
				) : null}
				{table ? null : (
					<chakra.span display="block">No plan for this: there is nothing to take.</chakra.span>
				)}
			</chakra.span>
			<chakra.span marginInlineStart="auto" display="flex" gap="8px">
				<ActLink kind="plain" to={place ? `?place=${place}` : "."} preventScrollReset aria-keyshortcuts="z">
					Put back <Key aria-hidden>z</Key>
				</ActLink>
				{table ? (
					<Act kind="next" formMethod="post" aria-keyshortcuts="a">
						Take it <Key aria-hidden>a</Key>
					</Act>
				) : null}
			</chakra.span>
		</chakra.div>
	);
}
