import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import { Facts } from "../ui/Facts.tsx";
import { LineTable } from "../ui/LineTable.tsx";
import { PanFromAbove } from "../ui/PanFromAbove.tsx";
import { Key, Muted, Note, Sheet } from "../ui/parts.tsx";
import { StepWords } from "../ui/StepWords.tsx";
import type { StepView } from "../ui/stepView.ts";
import { AccountBars } from "./AccountBars.tsx";
import { BraiseSheet } from "./BraiseSheet.tsx";
import { ColourWays } from "./ColourWays.tsx";
import type { PlaceDetail } from "./detail.ts";
import { PanUp } from "./PanUp.tsx";
import { SaucePot } from "./SaucePot.tsx";
import { StockBlend } from "./StockBlend.tsx";

const Columns = chakra("div", {
	base: { display: "grid", gap: "18px 32px", gridTemplateColumns: "minmax(0, 1fr)" },
	variants: {
		drawn: {
			true: { gridTemplateColumns: { base: "minmax(0,1fr)", lg: "minmax(0, 20fr) minmax(0, 31fr)" } },
		},
	},
});
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
	if (detail.panUp) {
		return (
			<Sheet marginTop="6px">
				<PanUp view={detail.panUp} head={head} warnings={warnings} arithmetic={arithmetic} />
			</Sheet>
		);
	}
	if (detail.braise) {
		return (
			<Sheet marginTop="6px" aria-live="polite">
				<BraiseSheet
					view={detail.braise}
					head={head}
					facts={<Facts facts={detail.facts} fontSize="22px" />}
					warnings={warnings}
					arithmetic={arithmetic}
				/>
			</Sheet>
		);
	}
	const drawing = <Drawing detail={detail} />;
	const drawn = (detail.colour ?? detail.account ?? detail.pot) !== undefined;
	return (
		<Sheet marginTop="6px" aria-live="polite">
			<Columns drawn={drawn}>
				<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
					{head}
					{(detail.colour ?? detail.pot) ? null : <Facts facts={detail.facts} fontSize="22px" />}
					{warnings}
					{detail.colour?.drawing ? <PanFromAbove pan={detail.colour.drawing} /> : null}
					{detail.account ? <StockBlend /> : null}
				</chakra.div>
				{drawn ? (
					<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
						{drawing}
						{arithmetic}
					</chakra.div>
				) : null}
			</Columns>
			{drawn ? null : arithmetic}
		</Sheet>
	);
}

/** How the open place is worked: its steps and what is weighed out for it. */
export function WorkSheet({ detail }: { readonly detail: PlaceDetail }) {
	if (detail.steps.length + detail.lines.length === 0) return null;
	return (
		<Sheet marginTop="10px" paddingTop="2px">
			<Method steps={detail.steps} />
			{detail.lines.length > 0 ? (
				<chakra.div marginTop="16px">
					<LineTable groups={[{ group: "", rows: detail.lines }]} />
				</chakra.div>
			) : null}
		</Sheet>
	);
}

function Drawing({ detail }: { readonly detail: PlaceDetail }) {
	const { colour, account, pot } = detail;
	if (colour) return <ColourWays view={colour} />;
	if (account) return <AccountBars view={account} />;
	if (pot) return <SaucePot pot={pot} />;
	return null;
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
			<chakra.summary
				cursor="pointer"
				minHeight="44px"
				display="flex"
				alignItems="center"
				gap="8px"
				fontFamily="head"
				fontWeight="650"
				fontSize="17px"
				aria-keyshortcuts="m"
				data-key-name="Show the arithmetic"
			>
				<chakra.span textDecoration="underline" textUnderlineOffset="3px">
					Show the arithmetic
				</chakra.span>
				<Key aria-hidden>m</Key>
			</chakra.summary>
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
			<chakra.dd color="muted">{working}</chakra.dd>
			<chakra.dd
				textAlign={{ base: "start", md: "end" }}
				fontWeight="650"
				marginBottom={{ base: "8px", md: 0 }}
			>
				= {result}
			</chakra.dd>
		</>
	);
}
