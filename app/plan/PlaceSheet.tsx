import { chakra } from "@chakra-ui/react/styled-system";
import { type ReactNode, useState } from "react";
import { Facts } from "../ui/Facts.tsx";
import { LineTable } from "../ui/LineTable.tsx";
import { OvenCavity } from "../ui/OvenCavity.tsx";
import { PanCut } from "../ui/PanCut.tsx";
import { PanFromAbove } from "../ui/PanFromAbove.tsx";
import { Key, Muted, Note, Sheet } from "../ui/parts.tsx";
import { StepWords } from "../ui/StepWords.tsx";
import type { StepView } from "../ui/stepView.ts";
import type { PlaceDetail } from "./detail.ts";
import type { SearLoad } from "./drawings.ts";
import { TenderLine } from "./TenderLine.tsx";

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
	const drawn = detail.pan !== undefined || detail.searLoad !== undefined || detail.braise !== undefined;
	return (
		<Sheet marginTop="6px" aria-live="polite">
			<Columns drawn={drawn}>
				<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
					<div>
						<Answer>{detail.title}</Answer>
						<Muted>{detail.says}</Muted>
					</div>
					{detail.pan ? <PanFromAbove pan={detail.pan} /> : <Facts facts={detail.facts} fontSize="22px" />}
					<Warnings detail={detail} />
				</chakra.div>
				{drawn ? <Drawing detail={detail}>{arithmetic}</Drawing> : null}
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

function Drawing({ detail, children }: { readonly detail: PlaceDetail; readonly children: ReactNode }) {
	const { pan, searLoad, braise } = detail;
	return (
		<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
			{pan?.filled ? (
				<>
					<PanCut pan={pan} filled={pan.filled} />
					<Muted>
						{pan.filled.schools.map(({ name, mm }, index) => (
							<span key={name}>
								{index > 0 ? " · " : ""}
								<chakra.span {...(name === pan.filled?.lineWords ? { color: "next", fontWeight: 700 } : {})}>
									{name} {Math.round(mm)}
								</chakra.span>
							</span>
						))}{" "}
						mm. Dashed: the least headspace.
					</Muted>
					<Facts facts={detail.facts} fontSize="22px" />
				</>
			) : null}
			{searLoad ? (
				<>
					<chakra.div maxWidth="340px">
						<PanFromAbove pan={searLoad.pan} />
					</chakra.div>
					<LoadRow loads={searLoad.loads} />
				</>
			) : null}
			{braise ? (
				<>
					<TenderLine view={braise} />
					<chakra.div display="flex" flexWrap="wrap" gap="16px 28px">
						{braise.ovens.map((oven) => (
							<OvenCavity key={oven.name} oven={oven} />
						))}
					</chakra.div>
				</>
			) : null}
			{children}
		</chakra.div>
	);
}

/** Each load as one pan in a row, with the pieces it takes. */
function LoadRow({ loads }: { readonly loads: readonly SearLoad[] }) {
	return (
		<chakra.ol display="flex" flexWrap="wrap" gap="6px" aria-label="Pieces in each load">
			{loads.map(({ number, pieces }) => (
				<chakra.li
					key={number}
					width="42px"
					height="42px"
					borderRadius="50%"
					border="2px solid"
					borderColor="pan"
					bg="place"
					display="grid"
					placeItems="center"
					fontWeight="650"
				>
					{pieces}
				</chakra.li>
			))}
		</chakra.ol>
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
