import { area, line } from "d3-shape";
import { memo } from "react";
import { type CourseFrame, CourseSvg, type Scale } from "./CourseSvg.tsx";
import type { CourseRange } from "./courseLines.tsx";

/** How warm the food of a dish is on its whole way: between its coldest and its warmest point. */
export interface JourneyDrawing extends Omit<CourseFrame, "ceilings" | "hours"> {
	readonly band: CourseRange;
	/** What was read on the way, a line each. */
	readonly read?: readonly (readonly (readonly [minute: number, C: number])[])[];
	readonly stages: readonly {
		readonly words: string;
		/** When it begins. */
		readonly clock: string;
		readonly from_min: number;
		readonly to_min: number;
	}[];
	/** What is asked of it, marked by the number that it is told under. */
	readonly limits: readonly {
		readonly minute: number;
		readonly C: number;
		readonly mark: string;
		readonly isMet: boolean;
	}[];
}

/** A word beside another takes so much room, px; and so much a clock. */
const LETTER_PX = 8.5;
const CLOCK_PX = 50;
const MARK_PX = 11;

/** The way of a dish from the bench to the plate: one band, its stages, and its limits by their numbers. */
export const JourneyCurve = memo(function JourneyCurve({ drawing }: { readonly drawing: JourneyDrawing }) {
	const { band, read = [], stages, limits, top_C, least_C } = drawing;
	return (
		<CourseSvg
			frame={{ ...drawing, ceilings: [], hours: [] }}
			under={(x, y) =>
				stages.map(({ from_min }) => (
					<line
						key={from_min}
						className="grid"
						x1={x(from_min)}
						x2={x(from_min)}
						y1={y(top_C)}
						y2={y(least_C)}
					/>
				))
			}
		>
			{(x, y) => (
				<>
					<Band band={band} x={x} y={y} />
					{read.map((points) => (
						<Read key={points.join(" ")} points={points} x={x} y={y} />
					))}
					{namedStages(stages, x).map(({ words, from_min }) => (
						<text key={from_min} data-axis x={x(from_min) + 4} y={y(top_C) + 14}>
							{words}
						</text>
					))}
					{apart(stages, x).map(({ clock, from_min }) => (
						<text key={from_min} data-axis x={x(from_min)} y={y(least_C) + 24} textAnchor="middle">
							{clock}
						</text>
					))}
					{limits.map(({ minute, C, mark, isMet }) => (
						<g key={mark} transform={`translate(${x(minute)} ${y(C)})`}>
							<circle className="hand" r={MARK_PX} strokeWidth={isMet ? 2 : 4} />
							<text className="hand-words" y={5} textAnchor="middle" fontWeight={700}>
								{mark}
							</text>
						</g>
					))}
				</>
			)}
		</CourseSvg>
	);
});

function Band({ band, x, y }: { readonly band: CourseRange; readonly x: Scale; readonly y: Scale }) {
	const between = area<CourseRange[number]>(
		({ minute }) => x(minute),
		({ low_C }) => y(low_C),
		({ high_C }) => y(high_C),
	);
	return (
		<path
			className="range"
			d={between(band) ?? ""}
			stroke="currentColor"
			strokeWidth={1.5}
			strokeLinejoin="round"
		/>
	);
}

function Read({
	points,
	x,
	y,
}: {
	readonly points: NonNullable<JourneyDrawing["read"]>[number];
	readonly x: Scale;
	readonly y: Scale;
}) {
	const along = line<readonly [number, number]>(
		([minute]) => x(minute),
		([, C]) => y(C),
	);
	return <path className="read" d={along(points) ?? ""} strokeWidth={2.5} strokeLinejoin="round" />;
}

type Stages = JourneyDrawing["stages"];

/** Stages whose name has room over them. */
function namedStages(stages: Stages, x: Scale): Stages {
	return stages.filter(
		({ words, from_min, to_min }) => x(to_min) - x(from_min) > words.length * LETTER_PX + 8,
	);
}

/** Beginnings whose clocks can be read beside each other. */
function apart(stages: Stages, x: Scale): Stages {
	const kept: Stages[number][] = [];
	for (const stage of stages) {
		const last = kept.at(-1);
		if (!last || x(stage.from_min) - x(last.from_min) >= CLOCK_PX) kept.push(stage);
	}
	return kept;
}
