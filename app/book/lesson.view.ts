import { type LessonMistake, mistakesOf, type Plan } from "#core/dish";
import type { HouseCode } from "#core/safety";
import { durationsWords, durationWords } from "#core/time";
import { PLACE_WORDS, PLACES, type PlaceKey } from "#core/trade";
import { cautionsOf } from "../ui/words/cautions.ts";
import { counted, perCent, percent, type Reading } from "../ui/words/reading.ts";
import { stepViews } from "../ui/words/stepView.ts";

/** Why a place is there at all, for somebody new to the work. */
const WHY: Readonly<Partial<Record<PlaceKey, string>>> = {
	trim: "Hard fat and silverskin stay tough and the surface must be dry to brown; what is left of the fat carries flavour. Every piece alike, because the largest decides when all are done.",
	marinate: "Salt and spice go in by the hour, acid only softens the outside: longer is not better.",
	sear: "Browning is flavour and colour; it keeps no juice in. A wet or crowded pan steams instead.",
	build:
		"What was browned is dissolved again and becomes the sauce. Raw wine and raw tomato stay raw under a lid, so they are cooked down now.",
	panUp:
		"It starts boiling, so the clock starts at once. How deep it stands decides how strong the sauce is.",
	braise:
		"Time at a temperature turns the tough parts to gelatin; the middle is hot long before it is tender.",
	rest: "Tender meat breaks. It drinks a little back and firms up as it waits.",
	chill: "A deep hot pan stays warm for hours in the middle. Shallow, uncovered at first, written down.",
	reheat: "Gently and covered, to the house code's core temperature: hurried, the outside goes stringy.",
	sauce: "Skim, then boil down, then thicken, then salt: each changes the next.",
	plate: "From the bottom up, by a line of people, hot plates: the last plate like the first.",
};

/** One place of the lesson. */
export interface LessonPlace {
	readonly name: string;
	readonly why: string | null;
	readonly steps: ReturnType<typeof stepViews>;
	readonly mistakes: readonly string[];
}

/** A card as a lesson: why each step is there, what to feel for, and what goes wrong with this very dish. */
export function lessonView(plan: Plan, code: HouseCode, lift_kg: number, reading: Reading) {
	const steps = stepViews(plan.recipe.steps, plan.batch, plan.order.hands);
	const mistakes = mistakesOf(plan).map((mistake) => ({
		place: WHERE[mistake.code],
		words: mistakeWords(mistake, reading),
	}));
	const places = PLACES.flatMap((key): LessonPlace[] => {
		const name = PLACE_WORDS[key];
		const own = steps.filter(({ place }) => place === name);
		const wrong = mistakes.filter(({ place }) => place === key).map(({ words }) => words);
		if (own.length + wrong.length === 0) return [];
		return [{ name, why: WHY[key] ?? null, steps: own, mistakes: wrong }];
	});
	return { places, cautions: cautionsOf(plan, code, lift_kg, reading) };
}

const WHERE: Readonly<Record<LessonMistake["code"], PlaceKey>> = {
	rawForCooked: "buy",
	crowded: "sear",
	tooMuchLiquid: "panUp",
	unequal: "trim",
	byTemperature: "braise",
	leftIn: "braise",
	saltedEarly: "sauce",
};

function mistakeWords(mistake: LessonMistake, reading: Reading): string {
	switch (mistake.code) {
		case "rawForCooked":
			return `${reading.mass(mistake.raw_kg)} as bought are ${reading.mass(mistake.cooked_kg)} cooked. Whoever buys the cooked weight is ${counted(mistake.short, "portion")} short.`;
		case "crowded":
			return `${counted(mistake.perLoad, "piece")} a load, ${counted(mistake.loads, "load")}. One load more at once and the pan cools: the meat weeps and goes grey.`;
		case "tooMuchLiquid":
			return `Filled by eye to the card's line it would be ${reading.volume(mistake.most_l)}; the sauce asks ${reading.volume(mistake.wanted_l)}. More is a weaker sauce and a longer boil.`;
		case "unequal":
			return `A piece half as thick again wants ${durationsWords(mistake.thicker_min, mistake.minutes).join(" where the others want ")}.`;
		case "byTemperature":
			return `After ${durationWords(mistake.halfWay_min)} the middle is at ${reading.temperature(mistake.halfWay_C)}, when it is tender ${reading.temperature(mistake.tender_C)}; ${percent(Math.round(mistake.softenedAfter * 100) / 100)} of the softening comes after ${reading.temperature(mistake.core_C)}. Feel for it; the thermometer does not know.`;
		case "leftIn":
			return `From tender to falling apart: about ${durationWords(mistake.window_min)}. After that it does not come back.`;
		case "saltedEarly":
			return `Salted to ${perCent(mistake.before_pct)} before it is boiled down it ends at ${perCent(mistake.after_pct)}.`;
	}
}
