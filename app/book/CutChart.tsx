import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from "recharts";
import { durationWords } from "#core/time";
import { useShownWidth } from "../ui/drawings/useShownWidth.ts";
import { minorUnitsOf, money } from "../ui/words/reading.ts";
import { spreadMarks } from "./spreadMarks.ts";

interface CutPoint {
	/** Its row in the table. */
	readonly number: number;
	readonly name: string;
	readonly own: boolean;
	readonly minutes: number;
	readonly portion_minor: number;
}

interface CutChartProps {
	readonly cuts: readonly CutPoint[];
	readonly currency: string;
}

/** Cuts by time and cost of a portion, numbered as in the table: cheap and quick is bottom left. */
export default function CutChart({ cuts, currency }: CutChartProps) {
	const words = cuts.map(
		(cut) => `${cut.name} ${money(cut.portion_minor, currency)} in ${durationWords(cut.minutes)}`,
	);
	const [across, up] = [hours(cuts), wholes(cuts, currency)];
	const [box, shown] = useShownWidth<HTMLDivElement>();
	const marks = marksOf(cuts, across, up, {
		width: Math.max(60, shown - ROOM.left - ROOM.right),
		height: PLOT_PX,
	});
	const wall = { stroke: "var(--wt-colors-muted)", tick: { fill: "var(--wt-colors-muted)", fontSize: 14 } };
	return (
		<div
			ref={box}
			role="img"
			aria-label={`Time against cost of a portion: ${words.join("; ")}.`}
			style={{ height: PLOT_PX + ROOM.top + ROOM.bottom }}
		>
			<ResponsiveContainer width="100%" height="100%">
				<ScatterChart
					margin={{ top: ROOM.top, right: ROOM.right, bottom: 0, left: 0 }}
					accessibilityLayer={false}
				>
					<CartesianGrid stroke="var(--wt-colors-hair)" strokeDasharray="2 4" />
					<XAxis
						{...wall}
						type="number"
						dataKey="minutes"
						ticks={across}
						domain={[across[0] ?? 0, across.at(-1) ?? 0]}
						tickFormatter={(minutes: number) => `${minutes / 60} h`}
						height={ROOM.bottom}
						label={{ value: "time to fork-tender", position: "insideBottomRight", offset: 0, ...NAME }}
					/>
					<YAxis
						{...wall}
						type="number"
						dataKey="portion_minor"
						width={ROOM.left}
						ticks={up}
						domain={[up[0] ?? 0, up.at(-1) ?? 0]}
						tickFormatter={(minor: number) => money(minor, currency)}
						label={{ value: "a portion costs", position: "top", dx: 28, offset: 10, ...NAME }}
					/>
					<Scatter data={marks} shape={Leader} isAnimationActive={false} />
					<Scatter data={marks} shape={Mark} isAnimationActive={false} />
				</ScatterChart>
			</ResponsiveContainer>
		</div>
	);
}

/** Whole hours round the cuts. */
function hours(cuts: readonly CutPoint[]): number[] {
	const minutes = cuts.map((cut) => cut.minutes);
	return steps(Math.floor((Math.min(...minutes) - 10) / 60), Math.ceil((Math.max(...minutes) + 10) / 60), 60);
}

/** Whole units of money round the cuts. */
function wholes(cuts: readonly CutPoint[], currency: string): number[] {
	const unit = minorUnitsOf(currency);
	const costs = cuts.map((cut) => cut.portion_minor);
	return steps(Math.floor(Math.min(...costs) / unit), Math.ceil(Math.max(...costs) / unit), unit);
}

function steps(from: number, to: number, size: number): number[] {
	return Array.from({ length: to - from + 1 }, (_, index) => (from + index) * size);
}

/** Height of its plot, and the room round it, px. */
const PLOT_PX = 300;
const ROOM = { left: 64, right: 24, top: 34, bottom: 52 };
const NAME = { fill: "var(--wt-colors-muted)", fontSize: 15 };

/** A cut on the chart, and how far its mark stands off its point so that it can be read, px. */
interface CutMark extends CutPoint {
	readonly dx: number;
	readonly dy: number;
}

/** Each cut with a mark of its own: those that would lie on one another are spread. */
function marksOf(
	cuts: readonly CutPoint[],
	across: readonly number[],
	up: readonly number[],
	plot: { readonly width: number; readonly height: number },
): CutMark[] {
	const points = cuts.map(({ minutes, portion_minor }) => ({
		x: ((minutes - (across[0] ?? 0)) / Math.max(1, spanOf(across))) * plot.width,
		y: (1 - (portion_minor - (up[0] ?? 0)) / Math.max(1, spanOf(up))) * plot.height,
	}));
	const spread = spreadMarks(points, MARK_APART, plot);
	return cuts.map((cut, index) => {
		const [point, mark] = [points[index], spread[index]];
		return { ...cut, dx: (mark?.x ?? 0) - (point?.x ?? 0), dy: (mark?.y ?? 0) - (point?.y ?? 0) };
	});
}

function spanOf(ticks: readonly number[]): number {
	return (ticks.at(-1) ?? 0) - (ticks[0] ?? 0);
}

interface MarkProps {
	readonly cx?: number | undefined;
	readonly cy?: number | undefined;
	readonly payload?: CutMark | undefined;
}

/** Radius of a mark, and how far apart two stand, px. */
const RADIUS = 13;
const MARK_APART = 2 * RADIUS + 2;
/** Nearer to its point than this a mark needs no leader, px. */
const NO_LEADER = 4;

/** From a mark to the point it stands for. */
function Leader({ cx = 0, cy = 0, payload }: MarkProps) {
	const { dx = 0, dy = 0 } = payload ?? {};
	if (Math.hypot(dx, dy) < NO_LEADER) return <g />;
	return (
		<g>
			<line x1={cx} y1={cy} x2={cx + dx} y2={cy + dy} stroke="var(--wt-colors-edge)" strokeWidth={1.5} />
			<circle cx={cx} cy={cy} r={3} fill="var(--wt-colors-ink)" />
		</g>
	);
}

function Mark({ cx = 0, cy = 0, payload }: MarkProps) {
	const { own = false, number = 0, dx = 0, dy = 0 } = payload ?? {};
	return (
		<g transform={`translate(${cx + dx} ${cy + dy})`}>
			<circle
				data-means="cut"
				r={RADIUS}
				fill={own ? "var(--wt-colors-ink)" : "var(--wt-colors-sheet)"}
				stroke={own ? "var(--wt-colors-ink)" : "var(--wt-colors-pan)"}
				strokeWidth={2}
			/>
			<text
				y={5}
				textAnchor="middle"
				fontSize={15}
				fontWeight={700}
				fill={own ? "var(--wt-colors-sheet)" : "var(--wt-colors-ink)"}
			>
				{number}
			</text>
		</g>
	);
}
