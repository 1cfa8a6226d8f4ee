/**
 * How often a law is tried: a third of the runs in every test, all of them where there is time
 * (`npm run soak`).
 */
export function runs(thorough: number): number {
	return process.env.WT_THOROUGH ? thorough : Math.ceil(thorough / 3);
}
