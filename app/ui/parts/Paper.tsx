import { chakra } from "@chakra-ui/react/styled-system";
import type { ComponentProps, ReactNode } from "react";
import { Link } from "react-router";
import type { StepView } from "../words/stepView.ts";
import { Act, ActLink, Key, Page } from "./parts.tsx";

/** A sheet of paper as it will be printed: black on white. */
const White = chakra("article", {
	base: {
		bg: "white",
		color: "black",
		maxWidth: "210mm",
		marginInline: "auto",
		padding: { base: "16px 12px", md: "12mm" },
		fontSize: "16px",
		lineHeight: 1.3,
		_print: { maxWidth: "none", padding: 0, fontSize: "9.5pt", lineHeight: 1.2 },
		"& table": { pageBreakInside: "auto" },
		"& tr, & li": { breakInside: "avoid" },
		"& thead": { display: "table-header-group" },
		"& th, & td": {
			borderBottom: "1px solid #888",
			padding: { base: "3px 6px 3px 0", md: "3px 8px 3px 0", _print: "0.3mm 2mm 0.3mm 0" },
			textAlign: "start",
			verticalAlign: "top",
		},
		"& th": { borderBottom: "2px solid black", fontWeight: 650 },
		"& .number": { textAlign: "end", whiteSpace: "nowrap" },
		"& h2": {
			fontFamily: "head",
			fontWeight: 700,
			fontSize: "1.2em",
			marginTop: { base: "5mm", _print: "2mm" },
			marginBottom: "1mm",
			breakAfter: "avoid",
		},
	},
});

/** Its drawings are those of daylight, whatever the light at the desk. */
export function Paper(props: ComponentProps<typeof White>) {
	return <White data-light="bench" {...props} />;
}

/** Lists of a whole sitting or day, a little closer: a page is not begun for their last rows. */
export const LONG_LIST = { fontSize: "9pt", lineHeight: 1.15 } as const;

/** What is another than in the number that a paper names; nothing where nothing is. */
export function SinceNumber({ words }: { readonly words: string }) {
	if (words === "") return null;
	return (
		<chakra.p marginTop="2mm">
			<b>▲ {words}</b>
		</chakra.p>
	);
}

interface GuestNotesProps {
	/** The note for the kitchen. */
	readonly note: string;
	/** Guests counted by diet, a line each. */
	readonly guests?: readonly string[];
}

/** What everybody at a sitting has to know: the note for the kitchen, and who eats what. */
export function GuestNotes({ note, guests = [] }: GuestNotesProps) {
	if (note === "" && guests.length === 0) return null;
	return (
		<chakra.div border="1px solid black" padding="1mm 3mm" marginTop="2mm">
			{note === "" ? null : (
				<chakra.p whiteSpace="pre-line">
					<b>Note: </b>
					{note}
				</chakra.p>
			)}
			{guests.length === 0 ? null : (
				<p>
					<b>Guests: </b>
					{guests.join("; ")}.
				</p>
			)}
		</chakra.div>
	);
}

interface PaperHeadProps {
	readonly title: string;
	readonly lines: readonly string[];
	/** The one figure at the right, with its label. */
	readonly figure?: { readonly label: string; readonly words: string };
}

/** The head of a sheet: what it is, for what, by whom, and one figure to be seen from afar. */
export function PaperHead({ title, lines, figure }: PaperHeadProps) {
	return (
		<chakra.header
			borderBottom="3px solid black"
			paddingBottom="2mm"
			display="flex"
			flexWrap={{ base: "wrap", sm: "nowrap" }}
			justifyContent="space-between"
			gap={{ base: "2mm", sm: "8mm" }}
			alignItems="flex-end"
			_print={{ flexWrap: "nowrap" }}
		>
			<div>
				<chakra.h1 fontFamily="head" fontWeight="700" fontSize="1.75em" lineHeight="1.1">
					{title}
				</chakra.h1>
				{lines.map((line) => (
					<p key={line}>{line}</p>
				))}
			</div>
			{figure ? (
				<chakra.p textAlign="end" whiteSpace={{ base: "normal", sm: "nowrap" }}>
					{figure.label}
					<chakra.b display="block" fontFamily="head" fontSize="2.1em" lineHeight="1">
						{figure.words}
					</chakra.b>
				</chakra.p>
			) : null}
		</chakra.header>
	);
}

interface LetterKeyProps {
	readonly dishes: readonly { readonly tag: string; readonly name: string }[];
}

/** Which letter of the lists stands for which dish. */
export function LetterKey({ dishes }: LetterKeyProps) {
	if (dishes.length === 0) return null;
	return (
		<chakra.ul display="flex" flexWrap="wrap" gap="0 6mm" marginTop="2mm">
			{dishes.map(({ tag, name }) => (
				<li key={tag}>
					<b>{tag}</b> {name}
				</li>
			))}
		</chakra.ul>
	);
}

/** The method as it is printed, step by step. */
export function PaperMethod({ steps }: { readonly steps: readonly StepView[] }) {
	return (
		<>
			<h2>Method</h2>
			<chakra.ol _print={{ columnCount: 2, columnGap: "8mm" }}>
				{steps.map((step) => (
					<chakra.li key={step.text} marginBottom={{ base: "2mm", _print: "1mm" }} breakInside="avoid">
						<b>{step.place}</b> ({[step.station, step.minutes].filter(Boolean).join(", ")}). {step.text}
						{step.check ? ` Look for: ${step.check}` : ""} {step.caution ? <b>Mind: {step.caution}</b> : null}
					</chakra.li>
				))}
			</chakra.ol>
		</>
	);
}

interface PrintPageProps {
	readonly paper: string;
	/** The page it came from, and the address of this one, for the way back from the choice of paper. */
	readonly back: { readonly to: string; readonly words: string };
	readonly here: string;
	/** What stands over every page beside its number: the dish and its batch. */
	readonly runningHead?: string;
	/** What else can be done with it, beside printing. */
	readonly also?: ReactNode;
	readonly children: ReactNode;
}

/** The size of the paper, and over each page what it belongs to and which it is. */
function pageRule(paper: string, runningHead: string | undefined): string {
	if (runningHead === undefined) return `@page { size: ${paper}; margin: 12mm; }`;
	const head = JSON.stringify(runningHead).replace(/</g, "\\3c ");
	const letters = "font: 9pt 'Atkinson Hyperlegible Next Variable', sans-serif;";
	return `@page { size: ${paper}; margin: 14mm 12mm 8mm; @top-left { content: ${head}; ${letters} } @top-right { content: "page " counter(page) " of " counter(pages); ${letters} } }`;
}

/** A page that is there to be printed, with what is done on the screen above it. */
export function PrintPage({ paper, back, here, runningHead, also, children }: PrintPageProps) {
	return (
		<Page _print={{ padding: 0, maxWidth: "none" }}>
			<style>{pageRule(paper, runningHead)}</style>
			<chakra.div
				className="screenOnly"
				display="flex"
				flexWrap="wrap"
				gap="10px"
				marginBottom="14px"
				alignItems="center"
			>
				<Act kind="next" type="button" onClick={() => window.print()} aria-keyshortcuts="p">
					Print <Key aria-hidden>p</Key>
				</Act>
				<ActLink to={back.to}>{back.words}</ActLink>
				{also}
				<span>
					On {paper}; change it <Link to={`/preferences?back=${encodeURIComponent(here)}`}>at this desk</Link>
					.
				</span>
			</chakra.div>
			{children}
		</Page>
	);
}
