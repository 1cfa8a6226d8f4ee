import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from "recharts";
import { durationWords } from "#core/time";
import { minorUnitsOf, money } from "../ui/words/reading.ts";

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
	const wall = { stroke: "var(--wt-colors-muted)", tick: { fill: "var(--wt-colors-muted)", fontSize: 14 } };
	return (
		<div
			role="img"
			aria-label={`Time against cost of a portion: ${words.join("; ")}.`}
			style={{ height: "100%" }}
		>
			<ResponsiveContainer width="100%" height="100%">
				<ScatterChart margin={{ top: 14, right: 20, bottom: 6, left: 6 }} accessibilityLayer={false}>
					<CartesianGrid stroke="var(--wt-colors-hair)" strokeDasharray="2 4" />
					<XAxis
						{...wall}
						type="number"
						dataKey="minutes"
						ticks={across}
						domain={[across[0] ?? 0, across.at(-1) ?? 0]}
						tickFormatter={(minutes: number) => durationWords(minutes)}
					/>
					<YAxis
						{...wall}
						type="number"
						dataKey="portion_minor"
						width={64}
						ticks={up}
						domain={[up[0] ?? 0, up.at(-1) ?? 0]}
						tickFormatter={(minor: number) => money(minor, currency)}
					/>
					<Scatter data={together(cuts, across, up)} shape={Point} isAnimationActive={false} />
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

/** Cuts so near each other that their numbers would lie on one another. */
export interface CutsTogether {
	readonly numbers: readonly number[];
	readonly own: boolean;
	readonly minutes: number;
	readonly portion_minor: number;
}

/** Nearer than this share of the chart, across and up, two numbers cannot be told apart. */
const NEAR_ACROSS = 0.055;
const NEAR_UP = 0.1;

/** Cuts that lie on one another become one point with all their numbers, in the middle of them. */
export function together(
	cuts: readonly CutPoint[],
	across: readonly number[],
	up: readonly number[],
): CutsTogether[] {
	const [wide, high] = [spanOf(across), spanOf(up)];
	const near = (cut: CutPoint, other: CutPoint) =>
		Math.abs(cut.minutes - other.minutes) < NEAR_ACROSS * wide &&
		Math.abs(cut.portion_minor - other.portion_minor) < NEAR_UP * high;
	const groups: CutPoint[][] = [];
	for (const cut of cuts) {
		const touched = groups.filter((group) => group.some((other) => near(cut, other)));
		for (const group of touched) groups.splice(groups.indexOf(group), 1);
		groups.push([...touched.flat(), cut]);
	}
	return groups.map((group) => ({
		numbers: group.map(({ number }) => number).sort((a, b) => a - b),
		own: group.some(({ own }) => own),
		minutes: mean(group.map(({ minutes }) => minutes)),
		portion_minor: mean(group.map(({ portion_minor }) => portion_minor)),
	}));
}

function spanOf(ticks: readonly number[]): number {
	return (ticks.at(-1) ?? 0) - (ticks[0] ?? 0);
}

function mean(values: readonly number[]): number {
	return values.reduce((sum, value) => sum + value, 0) / values.length;
}

interface PointProps {
	readonly cx?: number | undefined;
	readonly cy?: number | undefined;
	readonly payload?: CutsTogether | undefined;
}

/** Half a point's height, the width of a character in it, and the room at both its ends, px. */
const HALF = 12;
const CHARACTER = 7.6;
const ENDS = 14;

function Point({ cx = 0, cy = 0, payload }: PointProps) {
	const { own = false, numbers = [] } = payload ?? {};
	const words = numbers.join(", ");
	const half = Math.max(HALF, (words.length * CHARACTER + ENDS) / 2);
	return (
		<g transform={`translate(${cx} ${cy})`}>
			<rect
				x={-half}
				y={-HALF}
				width={2 * half}
				height={2 * HALF}
				rx={HALF}
				fill={own ? "var(--wt-colors-mahogany)" : "var(--wt-colors-sheet)"}
				stroke={own ? "var(--wt-colors-mahogany)" : "var(--wt-colors-pan)"}
				strokeWidth={2}
			/>
			<text
				y={5}
				textAnchor="middle"
				fontSize={14}
				fontWeight={700}
				fill={own ? "var(--wt-colors-on-mahogany)" : "var(--wt-colors-ink)"}
			>
				{words}
			</text>
		</g>
	);
}
