import type { Reach, Verdict } from "#core/safety";
import { durationWords } from "#core/time";

/** How food stands to a limit, in words. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
	met: "met",
	close: "met if it goes as is likely",
	missed: "missed",
	notKnown: "not known",
};

/** "1 h 40", "already", "never", "not known" */
export function reachWords(reach: Reach): string {
	if (typeof reach === "number") return durationWords(Math.round(reach));
	return reach === "notKnown" ? "not known" : reach;
}
