import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import { BODY, DRAWING } from "../places/bodies.tsx";
import { DrawnColumns } from "../places/DrawnColumns.tsx";
import { Facts } from "../ui/parts/Facts.tsx";
import { LineTable } from "../ui/parts/LineTable.tsx";
import { Key, Muted, Note, Sheet } from "../ui/parts/parts.tsx";
import { StepWords } from "../ui/parts/StepWords.tsx";
import type { StepView } from "../ui/words/stepView.ts";
import type { PlaceDetail } from "./detail.ts";

const Answer = chakra("h2", {
	base: { fontFamily: "head", fontWeight: 700, fontSize: { base: "24px", md: "28px" }, lineHeight: 1.1 },
});

/** The place that is open: its answer, its drawing, and the arithmetic, which stays open from place to place. */
export function PlaceSheet({ detail }: { readonly detail: PlaceDetail }) {
	const [shown, setShown] = useState(false);
	const arithmetic = <Arithmetic detail={detail} shown={shown} onShow={setShown} />;
	const head = (
		<div>
			<Answer>{detail.title}</Answer>
			<Muted>{detail.says}</Muted>
		</div>
	);
	const warnings = <Warnings detail={detail} />;
	const facts = <Facts facts={detail.facts} fontSize="22px" />;
	const Body = detail.drawing === null ? undefined : BODY[detail.key];
	const draw = detail.drawing === null ? undefined : DRAWING[detail.key];
	const answer = (
		<>
			{head}
			{facts}
			{warnings}
			{arithmetic}
		</>
	);
	return (
		<Sheet aria-live={detail.key === "panUp" ? "off" : "polite"}>
			{Body ? (
				<Body view={detail.drawing} head={head} facts={facts} warnings={warnings} arithmetic={arithmetic} />
			) : draw ? (
				<DrawnColumns answer={answer} drawing={draw(detail.drawing)} />
			) : (
				<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
					{answer}
				</chakra.div>
			)}
		</Sheet>
	);
}

/** How the open place is worked: its steps and what is weighed out for it. */
export function WorkSheet({ detail }: { readonly detail: PlaceDetail }) {
	if (detail.steps.length + detail.lines.length + detail.tastings.length === 0) return null;
	return (
		<Sheet marginTop="10px" paddingTop="2px">
			<Method steps={detail.steps} />
			{detail.tastings.map((words) => (
				<chakra.p key={words} marginTop="12px" maxWidth="90ch">
					{words}
				</chakra.p>
			))}
			{detail.lines.length > 0 ? (
				<chakra.div marginTop="16px">
					<LineTable groups={[{ heading: "", rows: detail.lines }]} />
				</chakra.div>
			) : null}
		</Sheet>
	);
}

function Warnings({ detail }: { readonly detail: PlaceDetail }) {
	return detail.warnings.map(({ says, remedy }) => (
		<Note key={says}>
			<b>{says}</b> {remedy}
		</Note>
	));
}

function Method({ steps }: { readonly steps: readonly StepView[] }) {
	if (steps.length === 0) return null;
	return (
		<chakra.ol
			marginTop="16px"
			display="grid"
			gap="10px"
			gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "repeat(2, minmax(0,1fr))" }}
			columnGap="32px"
		>
			{steps.map((step) => (
				<chakra.li key={step.text} borderTop="2px solid" borderColor="steel" paddingTop="6px">
					<StepWords step={step} />
				</chakra.li>
			))}
		</chakra.ol>
	);
}

interface ArithmeticProps {
	readonly detail: PlaceDetail;
	readonly shown: boolean;
	readonly onShow: (shown: boolean) => void;
}

function Arithmetic({ detail, shown, onShow }: ArithmeticProps) {
	return (
		<chakra.details marginTop="10px" open={shown} onToggle={(event) => onShow(event.currentTarget.open)}>
			<summary aria-keyshortcuts="m" data-key-name="Show the arithmetic">
				Show the arithmetic
				<Key aria-hidden>m</Key>
			</summary>
			<chakra.dl
				display="grid"
				gridTemplateColumns={{ base: "minmax(0,1fr)", md: "minmax(110px, 190px) minmax(0,1fr) auto" }}
				gap={{ base: "0 14px", md: "6px 20px" }}
			>
				{detail.sums.map(({ label, working, result }) => (
					<SumRow key={label + working} label={label} working={working} result={result} />
				))}
			</chakra.dl>
		</chakra.details>
	);
}

function SumRow({
	label,
	working,
	result,
}: {
	readonly label: string;
	readonly working: string;
	readonly result: string;
}) {
	return (
		<>
			<chakra.dt fontWeight="650">{label}</chakra.dt>
			<chakra.dd color="muted" data-sum="working">
				{working}
			</chakra.dd>
			<chakra.dd
				textAlign={{ base: "start", md: "end" }}
				fontWeight="650"
				marginBottom={{ base: "8px", md: 0 }}
				data-sum="result"
			>
				= {result}
			</chakra.dd>
		</>
	);
}
