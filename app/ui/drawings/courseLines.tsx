import { area, line } from "d3-shape";
import type { Scale } from "./CourseSvg.tsx";

/** A temperature over time as it likely goes, minutes and °C. */
export type CourseLine = readonly (readonly [minute: number, C: number])[];
/** Between what and what it may go. */
export type CourseRange = readonly {
	readonly minute: number;
	readonly low_C: number;
	readonly high_C: number;
}[];

interface Scales {
	readonly x: Scale;
	readonly y: Scale;
}

/** The band in which a course may go. */
export function RangeBand({ range, x, y }: Scales & { readonly range: CourseRange }) {
	const band = area<CourseRange[number]>(
		({ minute }) => x(minute),
		({ low_C }) => y(low_C),
		({ high_C }) => y(high_C),
	);
	return <path className="range" d={band(range) ?? ""} />;
}

/** The course that is likely. */
export function LikelyLine({ likely, x, y }: Scales & { readonly likely: CourseLine }) {
	const course = line<CourseLine[number]>(
		([minute]) => x(minute),
		([, C]) => y(C),
	);
	return <path className="likely" d={course(likely) ?? ""} />;
}
