import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import type { WaysAsked, WayToTender } from "#core/braise";
import { AS_ON_CARD, type CookChoice, PARTS } from "#core/sitting";
import {
	clockTime,
	durationWords,
	MINUTE_MS,
	minutesUntil,
	readTime,
	startBefore,
	wallClock,
} from "#core/time";
import { HEATS, LIDS } from "#core/trade";
import { TimeField } from "../../ui/forms/DayField.tsx";
import { cookTyped } from "../../ui/forms/settled.ts";
import { Facts } from "../../ui/parts/Facts.tsx";
import { Act, Heading, Muted, Note } from "../../ui/parts/parts.tsx";
import { PIECES } from "../../ui/words/cookWords.ts";
import { type Measures, measuresIn } from "../../ui/words/measures.ts";
import { useBraiseWorker } from "../../workers/useBraiseWorker.ts";
import { setTrial } from "../setTrial.ts";
import type { BraiseDrawing } from "./braise.view.ts";

const Ways = chakra("ul", {
	base: {
		display: "grid",
		gap: "12px 32px",
		gridTemplateColumns: { base: "minmax(0,1fr)", lg: "repeat(2, minmax(0,1fr))" },
		"& li": { borderTop: "2px solid", borderColor: "steel", paddingTop: "6px" },
	},
});

/** So many ways are shown of each kind. */
const SHOWN = 6;
/** What is first asked: a start so much later than the plan's, minutes. */
const LATER_MIN = 20;

/** For a later start: which oven, cover and size of piece still have it tender by the lift. */
export function WaysPanel({ drawing }: { readonly drawing: BraiseDrawing }) {
	const { inAt, liftAt, timeZone, ways } = drawing;
	const [start, setStart] = useState(() => wallClock(inAt + LATER_MIN * MINUTE_MS, timeZone).time);
	const { result, state, ask } = useBraiseWorker((remote, { asked, wanted_min }: Asked) =>
		remote.ways({ ...asked, wanted_min }).then((found) => ({ ...found, asked, wanted_min })),
	);
	const wanted_min = minutesUntil(liftAt, readTime(start) ?? "", timeZone);
	const clock = (at: number) => clockTime(at, drawing);
	return (
		<chakra.details marginTop="14px" data-otherwise>
			<summary aria-keyshortcuts="y" data-key-name="Other ways to have it tender">
				Other ways to have it tender by {clock(liftAt)}
			</summary>
			<OtherHeats drawing={drawing} />
			{ways === null ? null : (
				<chakra.form
					display="flex"
					flexWrap="wrap"
					alignItems="end"
					gap="12px"
					marginBlock="8px 14px"
					onSubmit={(event) => {
						event.preventDefault();
						ask({ asked: ways, wanted_min });
					}}
				>
					<TimeField
						label="If it can go in only at"
						defaultValue={start}
						onInput={(event) => setStart(event.currentTarget.value)}
					/>
					<Act disabled={Number.isNaN(wanted_min)}>What would do it?</Act>
					<Muted role="status">
						{state === "busy" ? "Trying lids, sizes and settings…" : null}
						{state === "failed" ? "This browser could not reckon it; the plan above holds." : null}
					</Muted>
				</chakra.form>
			)}
			{result ? (
				<Found
					drawing={drawing}
					wanted_min={result.wanted_min}
					confidence={result.asked.confidence}
					ways={result.inTime}
					atOven={result.atOven}
				/>
			) : null}
		</chakra.details>
	);
}

interface Asked {
	readonly asked: WaysAsked;
	readonly wanted_min: number;
}

/** What else the kitchen could make it tender in; the plan answers when one is taken. */
function OtherHeats({ drawing: { heats, cook } }: { readonly drawing: BraiseDrawing }) {
	if (heats.length === 0) return null;
	return (
		<chakra.div display="flex" flexWrap="wrap" gap="8px" alignItems="center" marginBlock="4px 12px">
			<span>Instead:</span>
			{heats.map(({ heat, minutes }) => (
				<Act
					key={heat}
					type="button"
					onClick={() =>
						setTrial({
							cook: cookTyped({ ...AS_ON_CARD, ...cook, heat, set_C: null }),
						})
					}
				>
					{HEATS[heat]}, about {durationWords(Math.round(minutes / 5) * 5)}
				</Act>
			))}
		</chakra.div>
	);
}

interface FoundProps {
	readonly drawing: BraiseDrawing;
	readonly wanted_min: number;
	readonly confidence: number;
	readonly ways: readonly WayToTender[];
	readonly atOven: readonly WayToTender[];
}

function Found({ drawing, wanted_min, confidence, ways, atOven }: FoundProps) {
	const inTime = ways.filter(({ inTime: does, dry }) => does && !dry);
	const nearest = [...ways].sort((a, b) => a.sure_min - b.sure_min).slice(0, 2);
	const sure = `${Math.round(confidence * 100)} days in 100`;
	return (
		<chakra.div display="grid" gap="16px" aria-live="polite">
			{inTime.length > 0 ? (
				<div>
					<Heading>Does it in {durationWords(wanted_min)}</Heading>
					<Muted>Tender in time on {sure}; what changes least comes first.</Muted>
					<List ways={inTime.slice(0, SHOWN)} drawing={drawing} />
				</div>
			) : (
				<Note>
					<b>Nothing has it tender in {durationWords(wanted_min)}.</b> These come nearest; smaller pieces gain
					more than a hotter oven.
					<List ways={nearest} drawing={drawing} />
				</Note>
			)}
			<div>
				<Heading>With the oven as it is</Heading>
				<List ways={atOven.filter(({ dry }) => !dry)} drawing={drawing} />
			</div>
		</chakra.div>
	);
}

function List({ ways, drawing }: { readonly ways: readonly WayToTender[]; readonly drawing: BraiseDrawing }) {
	const measures = measuresIn(drawing.units);
	return (
		<Ways>
			{ways.map((way) => (
				<li key={`${way.oven_C} ${way.lid} ${way.parts}`}>
					<chakra.span
						display="flex"
						flexWrap="wrap"
						gap="4px 16px"
						alignItems="center"
						justifyContent="space-between"
					>
						<b>{wayWords(way, drawing, measures)}</b>
						<Act
							type="button"
							aria-label={`Take this way: ${wayWords(way, drawing, measures)}`}
							onClick={() => setTrial({ cook: cookTyped(chosen(way, drawing)) })}
						>
							Take this way
						</Act>
					</chakra.span>
					<Facts facts={factsOf(way, drawing, measures)} fontSize="18px" />
				</li>
			))}
		</Ways>
	);
}

/** The pieces as they would be then: cut again, or as they are settled. */
function chosen({ oven_C, lid, parts }: WayToTender, { cook }: BraiseDrawing): CookChoice {
	const cut = PARTS.find((one) => one === parts * (cook?.parts ?? 1)) ?? 1;
	return { ...AS_ON_CARD, ...cook, set_C: oven_C, lid, parts: cut };
}

function wayWords(way: WayToTender, drawing: BraiseDrawing, { temperature }: Measures): string {
	const { parts } = chosen(way, drawing);
	return `${temperature(way.oven_C)}, ${LIDS[way.lid]}, ${PIECES[parts]}`;
}

function factsOf(way: WayToTender, drawing: BraiseDrawing, { volume }: Measures) {
	const { electricity_kWh, gas_kWh } = way.energy;
	return [
		{ figure: clockTime(startBefore(drawing.liftAt, way.sure_min), drawing), label: "in, at the latest" },
		{ figure: durationWords(way.window_min), label: "until it falls apart" },
		{ figure: volume(way.steam_l), label: "steamed away" },
		{ figure: `${electricity_kWh.toFixed(1)} kWh`, label: `or ${gas_kWh.toFixed(0)} kWh of gas` },
	];
}
