import { chakra } from "@chakra-ui/react/styled-system";
import { type KeyboardEvent, memo, useCallback } from "react";
import { heatColour } from "../ui/drawings/heat.ts";
import { useShownWidth } from "../ui/drawings/useShownWidth.ts";
import type { Bar, DayView, Lane, Stand, WallOven } from "./day.view.ts";
import { STEP_MS } from "./lift.ts";
import type { Lift, Locate } from "./useLift.ts";

/** Half the tab of the cursor, px: the strip is inset by it on both sides. */
const INSET_PX = 34;
const OVEN_LANE_PX = 56;
const LANE_PX = 30;

const Strip = chakra("div", { base: { position: "relative", userSelect: "none" } });
const Name = chakra("div", {
	base: {
		fontSize: "16px",
		lineHeight: "20px",
		color: "muted",
		paddingLeft: `${INSET_PX}px`,
		marginTop: "8px",
	},
});
const Track = chakra("div", {
	base: { position: "relative", marginInline: `${INSET_PX}px`, bg: "place", overflow: "hidden" },
});
const PIECE = {
	position: "absolute",
	overflow: "hidden",
	whiteSpace: "nowrap",
	fontSize: "15px",
	lineHeight: 1,
	display: "flex",
	alignItems: "center",
	paddingInline: "5px",
	borderLeft: "2px solid",
	borderColor: "sheet",
} as const;
const Piece = chakra("div", { base: PIECE });
/** What can be taken by hand or with Enter. */
const Ribbon = chakra("button", {
	base: {
		...PIECE,
		bg: "meat",
		color: "white",
		cursor: "grab",
		touchAction: "none",
		"&[data-lifted]": {
			bg: "transparent",
			color: "ink",
			outline: "2px dashed",
			outlineColor: "edge",
			outlineOffset: "-2px",
		},
		"&:focus-visible": { outline: "3px solid", outlineColor: "focus", outlineOffset: "-3px", zIndex: 1 },
	},
});
const Floor = chakra("span", {
	base: { position: "absolute", left: 0, right: 0, bottom: 0, height: "4px" },
});
const Range = chakra("input", {
	base: {
		position: "absolute",
		inset: 0,
		width: "100%",
		height: "100%",
		margin: 0,
		opacity: 0,
		cursor: "ew-resize",
		"&:focus-visible + div": { outline: "3px solid", outlineColor: "focus", outlineOffset: "2px" },
		"&::-webkit-slider-thumb": { width: `${2 * INSET_PX}px`, height: "44px" },
		"&::-moz-range-thumb": { width: `${2 * INSET_PX}px`, height: "44px" },
	},
});
const Tab = chakra("div", {
	base: {
		position: "absolute",
		top: 0,
		height: "44px",
		width: `${2 * INSET_PX}px`,
		marginLeft: `-${INSET_PX}px`,
		bg: "ink",
		color: "sheet",
		display: "grid",
		placeItems: "center",
		fontFamily: "head",
		fontWeight: 700,
		fontSize: "20px",
		pointerEvents: "none",
	},
});

/** The letter of a ribbon that is too thin for it, behind its end. */
const Beside = chakra("span", {
	base: {
		position: "absolute",
		paddingLeft: "5px",
		fontSize: "15px",
		lineHeight: 1,
		fontWeight: 650,
		pointerEvents: "none",
	},
});

interface StripProps {
	readonly view: DayView;
	readonly at: number;
	readonly clock: string;
	readonly onMove: (at: number) => void;
	readonly lift: Lift;
}

/** The day from left to right: a lane for each oven, then hands and hob, one cursor through all. */
export function TimeStrip({ view, at, clock, onMove, lift }: StripProps) {
	const { from, to, services, ticks, ovens, lanes } = view;
	const share = useCallback(
		(moment: number) => Math.min(100, Math.max(0, ((moment - from) / (to - from)) * 100)),
		[from, to],
	);
	const inset = (moment: number) =>
		`calc(${INSET_PX}px + (100% - ${2 * INSET_PX}px) * ${share(moment) / 100})`;
	const [strip, px] = useShownWidth<HTMLDivElement>(FIRST_PX);
	return (
		<Strip ref={strip}>
			<chakra.div position="relative" height="44px">
				<Range
					type="range"
					min={from}
					max={to}
					step={STEP_MS}
					value={at}
					aria-label="The moment that is looked at"
					aria-valuetext={clock}
					onChange={(event) => onMove(Number(event.currentTarget.value))}
					onKeyDown={(event) => byEvents(event, view.events, at, onMove)}
				/>
				<Tab style={{ left: inset(at) }}>{clock}</Tab>
			</chakra.div>
			<chakra.div position="relative" height="22px" marginInline={`${INSET_PX}px`} aria-hidden>
				{ticks.map((tick, index) => (
					<chakra.span
						key={tick.at}
						position="absolute"
						style={{ left: `${share(tick.at)}%` }}
						transform="translateX(-50%)"
						fontSize="15px"
						color="muted"
						display={{ base: index % 3 === 0 ? "inline" : "none", md: "inline" }}
					>
						{tick.words}
					</chakra.span>
				))}
			</chakra.div>
			{ovens.map((oven) => (
				<OvenLane key={oven.id} oven={oven} share={share} px={px} span={to - from} lift={lift} />
			))}
			{lanes.map((lane) => (
				<ThingLane key={lane.id} lane={lane} share={share} px={px} />
			))}
			{services.map((service) => (
				<Down key={service.id} left={inset(service.at)} colour="next" width="4px" />
			))}
			<Down left={inset(at)} colour="ink" width="2px" />
			<chakra.p paddingLeft={`${INSET_PX}px`} marginTop="6px">
				<chakra.span display="inline-block" width="14px" height="14px" bg="next" marginRight="6px" />
				{services.map(({ clock: when, name }) => `${name} ${when}`).join(" · ")}
			</chakra.p>
		</Strip>
	);
}

function Down({
	left,
	colour,
	width,
}: {
	readonly left: string;
	readonly colour: string;
	readonly width: string;
}) {
	return (
		<chakra.div
			position="absolute"
			top="44px"
			bottom="30px"
			width={width}
			bg={colour}
			transform="translateX(-50%)"
			pointerEvents="none"
			style={{ left }}
		/>
	);
}

/** Page keys go to the next thing that goes in or comes out. */
function byEvents(
	event: KeyboardEvent<HTMLInputElement>,
	events: readonly number[],
	at: number,
	onMove: (at: number) => void,
): void {
	if (event.key !== "PageUp" && event.key !== "PageDown") return;
	event.preventDefault();
	const next =
		event.key === "PageUp" ? events.find((moment) => moment > at) : events.findLast((moment) => moment < at);
	if (next !== undefined) onMove(next);
}

interface LaneProps {
	readonly share: (at: number) => number;
	/** Width of the strip as it is shown. */
	readonly px: number;
}

interface OvenLaneProps extends LaneProps {
	readonly oven: WallOven;
	/** What the strip shows, ms. */
	readonly span: number;
	readonly lift: Lift;
}

/** A ribbon as thick as the rungs that are taken, over a floor in the colour of its heat; it can be carried off. */
function OvenLane({ oven, share, px, span, lift }: OvenLaneProps) {
	const thick = OVEN_LANE_PX / oven.rungs;
	const held = lift.view;
	const ghost = held?.lifted.oven === oven.id ? held.ghost : null;
	/** How far along, to five minutes, and over which oven's lane. */
	const locate: Locate = ({ clientX, clientY }, grabbed) => {
		const lanes = [...document.querySelectorAll<HTMLElement>("[data-lane]")];
		const over = lanes.find((lane) => {
			const { top, bottom } = lane.getBoundingClientRect();
			return clientY >= top - 14 && clientY <= bottom + 14;
		});
		const width = lanes[0]?.getBoundingClientRect().width ?? 1;
		const steps = Math.round((((clientX - grabbed.x) / width) * span) / STEP_MS);
		return { start: grabbed.from + steps * STEP_MS, oven: over?.dataset.lane ?? grabbed.oven };
	};
	const placed = ({ from, to, rungs }: Stand) => ({
		left: `${share(from)}%`,
		width: `${share(to) - share(from)}%`,
		bottom: 4 + (rungs[0] ?? 0) * thick,
		height: Math.max(14, rungs.length * thick),
	});
	const isThick = ({ rungs }: Stand) => rungs.length * thick >= LETTER_HIGH_PX;
	return (
		<div>
			<Name>{oven.name}</Name>
			<Track data-lane={oven.id} style={{ height: OVEN_LANE_PX + 4 }}>
				{oven.stands.map((stand) => (
					<Ribbon
						key={stand.id}
						type="button"
						data-lifted={held?.lifted.id === stand.id || undefined}
						aria-label={`${stand.tag} ${stand.dish}, ${oven.name} at ${stand.set}, ${stand.inAt} to ${stand.out}${stand.fixed ? ", settled" : ""}: Enter lifts it`}
						style={placed(stand)}
						{...lift.handle(stand.id, oven.id, stand.from, locate)}
					>
						{isThick(stand)
							? fitted(
									[`${stand.fixed ? "◆ " : ""}${stand.tag} ${stand.set}`, stand.tag],
									((share(stand.to) - share(stand.from)) * px) / 100,
								)
							: ""}
						<Floor style={{ background: heatColour(stand.set_C) }} />
					</Ribbon>
				))}
				{oven.stands
					.filter((stand) => !isThick(stand) && stand.id !== held?.lifted.id)
					.map((stand) => (
						<Beside
							key={stand.id}
							aria-hidden
							style={{ left: `${share(stand.to)}%`, bottom: placed(stand).bottom }}
						>
							{stand.tag}
						</Beside>
					))}
				{ghost ? (
					// The same element as a ribbon: a new style would cost the page a frame when the first is lifted.
					<Ribbon
						type="button"
						tabIndex={-1}
						aria-hidden
						style={{ ...placed(ghost), opacity: 0.75, pointerEvents: "none" }}
					>
						{ghost.tag}
					</Ribbon>
				) : null}
			</Track>
		</div>
	);
}

/** It stands still while the cursor or pans move. */
const ThingLane = memo(function ThingLane({ lane, share, px }: LaneProps & { readonly lane: Lane }) {
	return (
		<div>
			<Name>
				{lane.name}
				{lane.capacity > 1 ? `, ${lane.capacity.toLocaleString("en-GB")}` : ""}
			</Name>
			<Track style={{ height: LANE_PX }}>
				{stacked(lane).map(({ bar, row, rows }) => (
					<Piece
						key={bar.id}
						bg="steel"
						title={bar.words}
						style={{
							left: `${share(bar.from)}%`,
							width: `${share(bar.to) - share(bar.from)}%`,
							top: (LANE_PX / rows) * row,
							height: LANE_PX / rows,
						}}
					>
						{rows === 1 ? fitted(namesOf(bar.words), ((share(bar.to) - share(bar.from)) * px) / 100) : ""}
					</Piece>
				))}
			</Track>
		</div>
	);
});

/** Width the strip is laid out in until it is shown, and about how wide a letter is, with the room round it, px. */
const FIRST_PX = 1190;
const LETTER_HIGH_PX = 16;
const LETTER_PX = 9;
const ROUND_PX = 18;

/** The longest of some names that has room; nothing where none has. */
function fitted(names: readonly string[], room: number): string {
	return names.find((name) => name.length * LETTER_PX + ROUND_PX <= room) ?? "";
}

/** "Trim A", or its letter alone. */
function namesOf(words: string): string[] {
	const last = words.split(" ").at(-1) ?? "";
	return last.length <= 2 ? [words, last] : [words];
}

/** Bars that overlap stand in rows of their own. */
function stacked({ bars }: Lane): { bar: Bar; row: number; rows: number }[] {
	const ends: number[] = [];
	const rows = [...bars]
		.sort((a, b) => a.from - b.from || a.id.localeCompare(b.id))
		.map((bar) => {
			const free = ends.findIndex((end) => end <= bar.from);
			const row = free === -1 ? ends.length : free;
			ends[row] = bar.to;
			return { bar, row };
		});
	return rows.map((placed) => ({ ...placed, rows: ends.length }));
}
