import { chakra } from "@chakra-ui/react/styled-system";
import { useCallback, useState } from "react";
import { clockTime } from "#core/time";
import { OvenCavity } from "../../ui/drawings/OvenCavity.tsx";
import { PansOnFloor } from "../../ui/drawings/PansOnFloor.tsx";
import { ReadCurve } from "../../ui/drawings/ReadCurve.tsx";
import { Act, ActLink } from "../../ui/parts/parts.tsx";
import type { BodyProps } from "../PlaceBody.ts";
import { setTrial } from "../setTrial.ts";
import type { BraiseDrawing, BraiseView } from "./braise.view.ts";
import type { Check } from "./checks.ts";
import { WaysPanel } from "./WaysPanel.tsx";

const Columns = chakra("div", {
	base: {
		display: "grid",
		gap: "18px 32px",
		gridTemplateColumns: { base: "minmax(0,1fr)", lg: "minmax(0, 20fr) minmax(0, 31fr)" },
	},
});
const Stack = chakra("div", {
	base: { display: "grid", gap: "14px", alignContent: "start", minWidth: 0 },
});

/** The braise place: the curve against the clock, the ovens, the check sheet, and other ways. */
export function BraiseSheet({ view, head, facts, warnings, arithmetic }: BodyProps<BraiseView>) {
	const { drawing, ovens, onFloor, checks, settled } = view;
	return (
		<>
			<Columns>
				<Stack>
					{head}
					{facts}
					{settled === null ? null : (
						<p>
							Settled for this sitting: <b>{settled}</b>.{" "}
							<Act kind="quiet" type="button" paddingInline="0" onClick={() => setTrial({ cook: "" })}>
								Leave it to the card
							</Act>
						</p>
					)}
					{warnings}
					<Checks checks={checks} />
				</Stack>
				<Stack>
					{drawing ? <Clocked drawing={drawing} /> : null}
					<chakra.div display="flex" flexWrap="wrap" gap="16px 28px" alignItems="end">
						{ovens.map((oven) => (
							<OvenCavity key={oven.name} oven={oven} />
						))}
						<PansOnFloor pans={onFloor} of="its pans" />
						{drawing ? (
							<ActLink to={drawing.lab} aria-keyshortcuts="x">
								Try this pan in the lab
							</ActLink>
						) : null}
					</chakra.div>
					{arithmetic}
				</Stack>
			</Columns>
			{drawing ? <WaysPanel drawing={drawing} /> : null}
		</>
	);
}

function Clocked({ drawing }: { readonly drawing: BraiseDrawing }) {
	const { curve, inAt, timeZone, clockHours, end_min, units, words, moments, hold } = drawing;
	const tender = curve.bands.find(({ mark }) => mark === "forkTender");
	const [cursor, setCursor] = useState(Math.round(tender?.range.likely ?? 0));
	const clock = useCallback(
		(minute: number) => clockTime(inAt + minute * 60_000, { timeZone, clockHours }),
		[inAt, timeZone, clockHours],
	);
	return (
		<ReadCurve
			curve={curve}
			units={units}
			words={words}
			clock={clock}
			end_min={end_min}
			moments={moments}
			{...(hold ? { hold } : {})}
			minute={Math.min(cursor, end_min)}
			onMinute={setCursor}
		/>
	);
}

function Checks({ checks }: { readonly checks: readonly Check[] }) {
	if (checks.length === 0) return null;
	return (
		<chakra.dl display="grid" gap="10px">
			{checks.map(({ when, what, text }) => (
				<chakra.div key={what} borderTop="2px solid" borderColor="steel" paddingTop="6px">
					<chakra.dt fontWeight="650">
						<chakra.span fontFamily="head" fontWeight="700" fontSize="19px" marginInlineEnd="8px">
							{when}
						</chakra.span>
						{what}
					</chakra.dt>
					<chakra.dd>{text}</chakra.dd>
				</chakra.div>
			))}
		</chakra.dl>
	);
}
