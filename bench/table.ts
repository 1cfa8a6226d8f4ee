/** One line of the report: what was measured, the figure, and what is wanted. */
export function report(what: string, figure: string, wanted = ""): void {
	console.log(`${what.padEnd(58)} ${figure.padStart(14)}  ${wanted}`);
}

/** The middle of some figures. */
export function median(values: readonly number[]): number {
	const sorted = [...values].sort((a, b) => a - b);
	return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}

/** Milliseconds of each of so many runs. */
export function timed(runs: number, work: () => void): number[] {
	return Array.from({ length: runs }, () => {
		const start = performance.now();
		work();
		return performance.now() - start;
	});
}
