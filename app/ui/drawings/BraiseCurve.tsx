import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { memo, type PointerEvent, useId } from "react";
import type { BraiseCurve as Curve, Mark } from "#core/braise";
import { type Measures, measuresIn } from "../words/measures.ts";
import { heatColour } from "./heat.ts";
import { spreadOut } from "./spreadOut.ts";
import { useShownWidth } from "./useShownWidth.ts";

const Svg = chakra("svg", {
	base: {
		width: "100%",
		height: "auto",
		overflow: "visible",
		touchAction: "pan-y",
		fontFamily: "text",
		fontSize: "15px",
		"& text": { fill: "muted" },
		"& .grid": { stroke: "hair" },
		"& .oven": { stroke: "muted", strokeWidth: 2, strokeDasharray: "7 5" },
		"& .liquid": { stroke: "muted", strokeWidth: 2.5 },
		"& .core": { stroke: "ink", strokeWidth: 4 },
		"& .band": { fill: "place", stroke: "edge", strokeWidth: 1.5 },
		"& .likely": { stroke: "ink", strokeWidth: 3 },
		"& .wanted": { fill: "ink", stroke: "ink" },
		"& .wanted + .likely": { stroke: "sheet" },
		"& .hold": { fill: "steel" },
		"& .leader": { stroke: "edge" },
		"& .litres": { fill: "broth", stroke: "none" },
		"& .moment": { stroke: "ink", strokeWidth: 2 },
		"& .momentWords": { fill: "ink", fontWeight: 650 },
		"& .service": { stroke: "next", strokeWidth: 3 },
		"& .serviceWords": { fill: "next", fontWeight: 650 },
		"& .cursor": { stroke: "focus", strokeWidth: 2 },
		"& .tender": { fill: "ink", fontWeight: 650 },
	},
});

/** Room at the left for the scale, at the right for the names of what is drawn, px. */
export const PLOT_LEFT = 46;
export const PLOT_RIGHT = 100;

const MARK_WORDS: Readonly<Record<Mark, string>> = {
	sliceable: "sliceable",
	forkTender: "fork-tender",
	shredding: "shredding",
	fallingApart: "falling apart",
};

const PLOT = { top: 28, height: 146 };
const BANDS = { top: PLOT.top + PLOT.height + 12, row: 22 };
const LITRES = { top: BANDS.top + 4 * BANDS.row + 12, height: 40 };
const HEIGHT = LITRES.top + LITRES.height + 30;
const PLAIN_TICKS_C = [0, 50, 100, 150, 200];
/** The window that is cooked to. */
const WANTED: Mark = "forkTender";
/** Least way from one name in the gutter to the next, px. */
const NAME_STEP = 18;
/** Least way from one hour's name to the next, px. */
const HOUR_PX = 66;
/** A wait drawn narrower than this is not named in its place, px. */
const HOLD_NAME_PX = 52;
/** About how wide the name of a moment is, px. */
const MOMENT_PX = 44;

/** A moment that is settled: lifting, serving. */
export interface CurveMoment {
	readonly minute: number;
	readonly words: string;
	readonly isService?: boolean;
}

/** What is lifted waits: until when, and how warm it is kept. */
export interface CurveHold {
	readonly from_min: number;
	readonly to_min: number;
	/** In short lines: "hold", "68 °C". */
	readonly words: readonly string[];
}

interface BraiseCurveProps {
	readonly curve: Curve;
	readonly units: Measures["units"];
	/** The curve in words. */
	readonly words: string;
	/** How a minute after the oven door is said below the curve. */
	readonly clock: (minute: number) => string;
	/** Last minute that is drawn. */
	readonly end_min: number;
	readonly moments?: readonly CurveMoment[];
	readonly hold?: CurveHold;
	readonly cursor_min?: number;
	readonly onCursor?: (minute: number) => void;
}

/** Oven, liquid and centre through time, the four marks as bands, and the liquid that is left. */
export const BraiseCurve = memo(function BraiseCurve(props: BraiseCurveProps) {
	const { curve, units, words, clock, end_min, moments = [], hold, cursor_min, onCursor } = props;
	const [svg, width] = useShownWidth();
	const x = scaleLinear()
		.domain([0, end_min])
		.range([PLOT_LEFT, Math.max(PLOT_LEFT + 60, width - PLOT_RIGHT)]);
	const momentsAt = spreadOut(
		moments.map(({ minute }) => x(minute)),
		MOMENT_PX,
		[PLOT_LEFT + MOMENT_PX / 2, width - MOMENT_PX / 2],
	);
	const cursorTo = (event: PointerEvent<SVGSVGElement>) => {
		const box = event.currentTarget.getBoundingClientRect();
		const minute = x.invert(((event.clientX - box.left) / box.width) * width);
		onCursor?.(Math.min(end_min, Math.max(0, Math.round(minute))));
	};
	return (
		<Svg
			ref={svg}
			viewBox={`0 0 ${width} ${HEIGHT}`}
			role="img"
			aria-label={words}
			{...(onCursor ? { onPointerMove: cursorTo, onPointerDown: cursorTo } : {})}
		>
			<Hours x={x} clock={clock} end_min={end_min} />
			<Temperatures curve={curve} x={x} units={units} />
			<Bands curve={curve} x={x} />
			<Litres curve={curve} x={x} units={units} />
			{hold ? <Hold hold={hold} x={x} /> : null}
			{moments.map(({ minute, words: said, isService = false }, index) => (
				<g key={said}>
					<line
						className={isService ? "service" : "moment"}
						x1={x(minute)}
						x2={x(minute)}
						y1={PLOT.top - 8}
						y2={HEIGHT - 24}
					/>
					<text
						className={isService ? "serviceWords" : "momentWords"}
						x={momentsAt[index]}
						y={PLOT.top - 13}
						textAnchor="middle"
					>
						{said}
					</text>
				</g>
			))}
			{cursor_min === undefined ? null : (
				<line
					className="cursor"
					x1={x(Math.min(cursor_min, end_min))}
					x2={x(Math.min(cursor_min, end_min))}
					y1={PLOT.top}
					y2={HEIGHT - 24}
				/>
			)}
		</Svg>
	);
});

type X = ReturnType<typeof scaleLinear<number>>;

interface PartProps {
	readonly curve: Curve;
	readonly x: X;
	readonly units: Measures["units"];
}

/** From the lift to the plate it stands hot, and no longer in its oven. */
function Hold({ hold, x }: { readonly hold: CurveHold } & Pick<PartProps, "x">) {
	const width = x(hold.to_min) - x(hold.from_min);
	return (
		<g>
			<rect className="hold" x={x(hold.from_min)} y={PLOT.top} width={width} height={PLOT.height} />
			{width < HOLD_NAME_PX ? null : (
				<text className="tender" y={PLOT.top + 20} textAnchor="middle">
					{hold.words.map((word, row) => (
						<tspan key={word} x={x(hold.from_min) + width / 2} dy={row === 0 ? 0 : NAME_STEP}>
							{word}
						</tspan>
					))}
				</text>
			)}
		</g>
	);
}

function Temperatures({ curve, x, units }: PartProps) {
	const gradient = useId();
	const { temperature } = measuresIn(units);
	const { every_min } = curve;
	const top_C = Math.max(120, ...curve.oven_C) + 12;
	const y = scaleLinear()
		.domain([0, top_C])
		.range([PLOT.top + PLOT.height, PLOT.top]);
	const path = line<number>(
		(_, index) => x(index * every_min),
		(celsius) => y(celsius),
	);
	const ticks = PLAIN_TICKS_C.filter((celsius) => celsius <= top_C);
	const right = x.range()[1] ?? 0;
	const last = curve.core_C.length - 1;
	const named = [
		{ words: AROUND[curve.heat], at: y(curve.oven_C[last] ?? 0), className: "" },
		{ words: "liquid", at: y(curve.liquid_C[last] ?? 0), className: "" },
		{ words: "centre", at: y(curve.core_C[last] ?? 0), className: "tender" },
	];
	const names = spreadOut(
		named.map(({ at }) => at),
		NAME_STEP,
		[PLOT.top, PLOT.top + PLOT.height],
	);
	return (
		<g fill="none">
			<defs>
				<linearGradient id={gradient} gradientUnits="userSpaceOnUse" x1={0} x2={0} y1={y(0)} y2={y(top_C)}>
					{ticks.map((celsius) => (
						<stop key={celsius} offset={celsius / top_C} stopColor={heatColour(celsius)} />
					))}
				</linearGradient>
			</defs>
			<rect
				x={PLOT_LEFT - 7}
				y={PLOT.top}
				width={7}
				height={PLOT.height}
				fill={`url(#${gradient})`}
				stroke="none"
			/>
			<text x={PLOT_LEFT} y={PLOT.top - 13} textAnchor="end">
				{temperature(0).replace(/.* /, "")}
			</text>
			{ticks.map((celsius) => (
				<g key={celsius}>
					<line className="grid" x1={PLOT_LEFT} x2={right} y1={y(celsius)} y2={y(celsius)} />
					<text data-axis x={PLOT_LEFT - 11} y={y(celsius) + 5} textAnchor="end">
						{temperature(celsius).replace(/ .*/, "")}
					</text>
				</g>
			))}
			<path className="oven" data-means="heat" d={path(curve.oven_C) ?? ""} />
			<path className="liquid" data-means="liquid" d={path(curve.liquid_C) ?? ""} />
			<path className="core" data-means="centre" d={path(curve.core_C) ?? ""} />
			{named.map(({ words, at, className }, index) => (
				<g key={words}>
					<line className="leader" x1={right + 1} x2={right + 8} y1={at} y2={names[index]} />
					<text className={className} x={right + 11} y={(names[index] ?? 0) + 5}>
						{words}
					</text>
				</g>
			))}
		</g>
	);
}

/** What the line round the pan is called. */
const AROUND: Readonly<Record<Curve["heat"], string>> = {
	stillOven: "oven",
	fanOven: "oven",
	waterBath: "bath",
	pressure: "pressure",
	slowCooker: "cooker",
	hob: "simmer",
};

function Bands({ curve, x }: Pick<PartProps, "curve" | "x">) {
	const right = x.range()[1] ?? 0;
	return curve.bands.map(({ mark, range }, row) => {
		const top = BANDS.top + row * BANDS.row;
		const low = x(range.low);
		const high = Math.min(x(range.high), right);
		const isWanted = mark === WANTED;
		return (
			<g key={mark}>
				<rect
					className={isWanted ? "band wanted" : "band"}
					data-means="tender window"
					x={low}
					y={top}
					width={Math.max(2, high - low)}
					height={BANDS.row - 6}
				/>
				<line
					className="likely"
					x1={x(range.likely)}
					x2={x(range.likely)}
					y1={top}
					y2={top + BANDS.row - 6}
				/>
				<text {...(isWanted ? { className: "tender" } : {})} x={right + 11} y={top + 13}>
					{MARK_WORDS[mark]}
				</text>
			</g>
		);
	});
}

function Litres({ curve, x, units }: PartProps) {
	const { volume } = measuresIn(units);
	const { every_min, liquid_l } = curve;
	const most_l = Math.max(0.1, ...liquid_l);
	const y = scaleLinear()
		.domain([0, most_l])
		.range([LITRES.top + LITRES.height, LITRES.top]);
	const shape = area<number>(
		(_, index) => x(index * every_min),
		LITRES.top + LITRES.height,
		(litres) => y(litres),
	);
	const last = liquid_l.length - 1;
	return (
		<>
			<path className="litres" d={shape(liquid_l) ?? ""} />
			<line
				className="grid"
				x1={PLOT_LEFT}
				x2={x(last * every_min)}
				y1={LITRES.top + LITRES.height}
				y2={LITRES.top + LITRES.height}
			/>
			<text x={PLOT_LEFT - 6} y={LITRES.top + LITRES.height - 4} textAnchor="end">
				{volume(liquid_l[0] ?? 0)}
			</text>
			<text x={(x.range()[1] ?? 0) + 11} y={LITRES.top + LITRES.height - 4}>
				{volume(liquid_l[last] ?? 0)} left
			</text>
		</>
	);
}

function Hours({ x, clock, end_min }: Pick<BraiseCurveProps, "clock" | "end_min"> & { readonly x: X }) {
	const step = [30, 60, 120, 240, 480, 720].find((minutes) => x(minutes) - x(0) >= HOUR_PX) ?? 1440;
	const hours = Array.from({ length: Math.floor(end_min / step) + 1 }, (_, index) => index * step);
	return hours.map((minute) => (
		<g key={minute}>
			<line className="grid" x1={x(minute)} x2={x(minute)} y1={PLOT.top} y2={PLOT.top + PLOT.height} />
			<text data-axis x={x(minute)} y={HEIGHT - 8} textAnchor="middle">
				{clock(minute)}
			</text>
		</g>
	));
}
