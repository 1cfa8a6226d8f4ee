import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { memo, type PointerEvent, useId } from "react";
import type { BraiseCurve as Curve, Mark } from "#core/braise";
import { type Measures, measuresIn } from "../words/measures.ts";
import { heatColour } from "./heat.ts";

const Svg = chakra("svg", {
	base: {
		width: "100%",
		height: "auto",
		overflow: "visible",
		touchAction: "pan-y",
		fontFamily: "text",
		fontSize: "16px",
		"& text": {
			fill: "muted",
			paintOrder: "stroke",
			stroke: "sheet",
			strokeWidth: "4px",
			strokeLinejoin: "round",
		},
		"& .onBroth": { fill: "brothInk", stroke: "none" },
		"& .grid": { stroke: "hair" },
		"& .oven": { stroke: "muted", strokeWidth: 2, strokeDasharray: "7 5" },
		"& .liquid": { stroke: "muted", strokeWidth: 2.5 },
		"& .core": { stroke: "ink", strokeWidth: 4 },
		"& .band": { fill: "broth" },
		"& .likely": { stroke: "ink", strokeWidth: 3 },
		"& .litres": { fill: "broth", stroke: "none" },
		"& .next": { stroke: "next", strokeWidth: 2.5 },
		"& .nextWords": { fill: "next", fontWeight: 650 },
		"& .cursor": { stroke: "focus", strokeWidth: 2 },
		"& .tender": { fill: "ink", fontWeight: 650 },
	},
});

const LEFT = 52;
const RIGHT = 14;

/** The plot within the drawing, as shares of its width: what stands under it keeps to the same. */
export const plotShares = (width = 640) => ({ left: LEFT / width, right: RIGHT / width });

const MARK_WORDS: Readonly<Record<Mark, string>> = {
	sliceable: "sliceable",
	forkTender: "fork-tender",
	shredding: "shredding",
	fallingApart: "falling apart",
};

const PLOT = { top: 28, height: 146 };
const BANDS = { top: PLOT.top + PLOT.height + 12, row: 21 };
const LITRES = { top: BANDS.top + 4 * BANDS.row + 12, height: 40 };
const HEIGHT = LITRES.top + LITRES.height + 30;
const PLAIN_TICKS_C = [0, 50, 100, 150, 200];
/** About how wide a band's name is, px. */
const NAME_PX = 96;
/** Nearer than this the names of oven and liquid would stand on each other, °C. */
const NAMES_APART_C = 25;
/** Least way from one hour's name to the next, px. */
const HOUR_PX = 66;

/** A moment that is settled: lifting, serving. */
export interface CurveMoment {
	readonly minute: number;
	readonly words: string;
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
	readonly cursor_min?: number;
	readonly onCursor?: (minute: number) => void;
	/** Width of the drawing, in its own pixels. */
	readonly width?: number;
}

/** Oven, liquid and centre through time, the four marks as bands, and the liquid that is left. */
export const BraiseCurve = memo(function BraiseCurve(props: BraiseCurveProps) {
	const { curve, units, words, clock, end_min, moments = [], cursor_min, onCursor, width = 640 } = props;
	const x = scaleLinear()
		.domain([0, end_min])
		.range([LEFT, width - RIGHT]);
	const cursorTo = (event: PointerEvent<SVGSVGElement>) => {
		const box = event.currentTarget.getBoundingClientRect();
		const minute = x.invert(((event.clientX - box.left) / box.width) * width);
		onCursor?.(Math.min(end_min, Math.max(0, Math.round(minute))));
	};
	return (
		<Svg
			viewBox={`0 0 ${width} ${HEIGHT}`}
			role="img"
			aria-label={words}
			{...(onCursor ? { onPointerMove: cursorTo, onPointerDown: cursorTo } : {})}
		>
			<Temperatures curve={curve} x={x} units={units} width={width} />
			<Bands curve={curve} x={x} />
			<Litres curve={curve} x={x} units={units} />
			<Hours x={x} clock={clock} end_min={end_min} />
			{moments.map(({ minute, words: said }) => (
				<g key={said}>
					<line className="next" x1={x(minute)} x2={x(minute)} y1={PLOT.top - 8} y2={HEIGHT - 24} />
					<text className="nextWords" x={x(minute)} y={PLOT.top - 13} textAnchor="middle">
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

function Temperatures({ curve, x, units, width }: PartProps & { readonly width: number }) {
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
	const crossing = Math.abs((curve.oven_C[0] ?? 0) - (curve.liquid_C[0] ?? 0)) < NAMES_APART_C;
	const warm = curve.core_C.findIndex((celsius) => celsius > 55);
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
				x={LEFT - 7}
				y={PLOT.top}
				width={7}
				height={PLOT.height}
				fill={`url(#${gradient})`}
				stroke="none"
			/>
			<text x={LEFT} y={PLOT.top - 13} textAnchor="end">
				{temperature(0).replace(/.* /, "")}
			</text>
			{ticks.map((celsius) => (
				<g key={celsius}>
					<line className="grid" x1={LEFT} x2={width - RIGHT} y1={y(celsius)} y2={y(celsius)} />
					<text x={LEFT - 11} y={y(celsius) + 5} textAnchor="end">
						{temperature(celsius).replace(/ .*/, "")}
					</text>
				</g>
			))}
			<path className="oven" d={path(curve.oven_C) ?? ""} />
			<path className="liquid" d={path(curve.liquid_C) ?? ""} />
			<path className="core" d={path(curve.core_C) ?? ""} />
			<g>
				<text x={LEFT + 8} y={y(curve.oven_C[0] ?? 0) - 7}>
					{AROUND[curve.heat]}
				</text>
				<text x={LEFT + 8} y={y(curve.liquid_C[0] ?? 0) + (crossing ? 24 : -9)}>
					liquid
				</text>
				<text className="tender" x={x(Math.max(0, warm) * every_min) + 10} y={y(45)}>
					centre of the piece
				</text>
			</g>
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
	return curve.bands.map(({ mark, range }, row) => {
		const top = BANDS.top + row * BANDS.row;
		const low = x(range.low);
		const high = Math.min(x(range.high), x.range()[1] ?? 0);
		const name = nameBeside(low, high, x.range()[1] ?? 0);
		return (
			<g key={mark}>
				<rect className="band" x={low} y={top} width={Math.max(2, high - low)} height={BANDS.row - 5} />
				<line
					className="likely"
					x1={x(range.likely)}
					x2={x(range.likely)}
					y1={top - 2}
					y2={top + BANDS.row - 3}
				/>
				<text
					{...(mark === "forkTender" ? { className: "tender" } : {})}
					x={name.x}
					y={top + 14}
					textAnchor={name.anchor}
				>
					{MARK_WORDS[mark]}
				</text>
			</g>
		);
	});
}

/** A band's name stands before it, or after it, or on it: where there is room. */
function nameBeside(low: number, high: number, right: number): { x: number; anchor: "start" | "end" } {
	if (low > LEFT + NAME_PX) return { x: low - 6, anchor: "end" };
	return { x: high + NAME_PX < right ? high + 6 : low + 6, anchor: "start" };
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
				x1={LEFT}
				x2={x(last * every_min)}
				y1={LITRES.top + LITRES.height}
				y2={LITRES.top + LITRES.height}
			/>
			<text x={LEFT + 6} y={LITRES.top + LITRES.height - 8} className="onBroth">
				{volume(liquid_l[0] ?? 0)} in
			</text>
		</>
	);
}

function Hours({ x, clock, end_min }: Pick<BraiseCurveProps, "clock" | "end_min"> & { readonly x: X }) {
	const step = [30, 60, 120, 240, 480, 720].find((minutes) => x(minutes) - x(0) >= HOUR_PX) ?? 1440;
	const hours = Array.from({ length: Math.floor(end_min / step) + 1 }, (_, index) => index * step);
	return hours.map((minute) => (
		<g key={minute}>
			<line className="grid" x1={x(minute)} x2={x(minute)} y1={PLOT.top} y2={HEIGHT - 26} />
			<text x={x(minute)} y={HEIGHT - 8} textAnchor="middle">
				{clock(minute)}
			</text>
		</g>
	));
}
