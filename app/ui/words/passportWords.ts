import type { Hold, LotNow, Passport, Release } from "#core/records";
import type { Course } from "#core/watch";
import type { Reading } from "./reading.ts";

/** What may be done with a pan, in a word or two. */
export const RELEASE_WORDS: Readonly<Record<Release, string>> = {
	released: "released",
	blocked: "do not use",
	discard: "throw away",
};

/** What stands largest on the label of what may not be used; null where it may. */
export function labelHead({ release, isCooling }: Passport, { who }: Pick<LotNow, "who">): string | null {
	if (release === "released") return null;
	if (release === "discard") return "THROW AWAY";
	return isCooling ? "COOLING, not released" : `DO NOT USE, ask ${who}`;
}

/** A passport in one line: "released", or what speaks against it. */
export function passportWords(passport: Passport, reading: Reading): string {
	const { release, holds, isCooling } = passport;
	if (isCooling) return "cooling, not released";
	const because = holds.map((hold) => holdWords(hold, reading)).join("; ");
	return because === "" ? RELEASE_WORDS[release] : `${RELEASE_WORDS[release]}: ${because}`;
}

const KEPT_WORDS: Readonly<Record<Exclude<Course, "cool">, string>> = {
	reheat: "its reheating",
	holdHot: "its hot hold",
	keepCold: "its cold store",
};

/** Why a pan is not released, in a few words. */
export function holdWords(hold: Hold, reading: Reading): string {
	switch (hold.because) {
		case "cooling":
			return "it is still cooling";
		case "coolingMissed":
			return "cooled too slowly; heat through at once and cool again, or throw away";
		case "coolingNotKnown":
			return hold.watch === null ? "its cooling was not watched" : "its cooling is not known";
		case "coolingAgain":
			return "cooled too slowly, and is heated through and cooled again";
		case "coolingMissedTwice":
			return "cooled too slowly twice";
		case "keptMissed":
			return `${KEPT_WORDS[hold.course]} missed its limit`;
		case "keptNotKnown":
			return `${KEPT_WORDS[hold.course]} is not known`;
		case "reheating":
			return "it is being heated";
		case "pastUseBy":
			return `its last day was ${reading.date(hold.useBy)}`;
		case "sentBack":
			return `delivery ${hold.delivery}, which is in it, was sent back`;
		case "deliveryPast":
			return `delivery ${hold.delivery}, which is in it, was past its day`;
		case "deliveryNotKnown":
			return `delivery ${hold.delivery} is not in the record`;
		case "allergensNotKnown":
			return "its allergens are not known";
	}
}
