import { braiseCurve, steamAt } from "#core/braise";
import { thicknessOf } from "#core/heat";
import { panWords } from "#core/pans";
import { durationRange, durationWords } from "#core/time";
import { cutWords, LIDS } from "#core/trade";
import {
	ANSWERS,
	type Answer,
	answersApart,
	type Change,
	type CookRecord,
	MUCH_BEYOND,
	QUANTITIES,
	type Quantity,
	type Question,
	SALT_IN_PCT,
	SAME_WITHIN,
	type Score,
	type Situation,
	share,
} from "#core/training";
import { labAddress } from "../ui/forms/labAddress.ts";
import type { Measures } from "../ui/words/measures.ts";
import { percent } from "../ui/words/reading.ts";
import { HEATS } from "./labPan.ts";

/** What a cook is asked, by quantity. */
export const ASKED: Readonly<Record<Quantity, string>> = {
	time: "Time to fork-tender",
	liquid: "Liquid left by then",
	salt: "Salt in what is left",
};

const SAID: Readonly<Record<Quantity, Readonly<Record<Answer, string>>>> = {
	time: {
		muchLess: "much sooner",
		less: "sooner",
		same: "the same",
		more: "later",
		muchMore: "much later",
	},
	liquid: { muchLess: "much less", less: "less", same: "the same", more: "more", muchMore: "much more" },
	salt: {
		muchLess: "much weaker",
		less: "weaker",
		same: "the same",
		more: "saltier",
		muchMore: "much saltier",
	},
};

/** How near the words are meant. */
export const MEANT = `The same is within ${percent(SAME_WITHIN)}; much is more than ${percent(MUCH_BEYOND)}.`;

/** Kinds of change as they stand in the record. */
export const CHANGE_WORDS: Readonly<Record<Change, string>> = {
	crowded: "a crowded pan",
	deeperPan: "a deeper, narrower pan",
	lidOff: "the cover off at the end",
	paper: "paper in place of a cover",
	cooler: "a cooler oven",
	hotter: "a hotter oven",
	thicker: "thicker pieces",
	thinner: "thinner pieces",
	morePans: "many more pans in the oven",
	coldStart: "poured cold",
	doors: "the oven opened again and again",
	lessLiquid: "less liquid poured",
};

/** One situation as it is asked. */
export function questionView({ situation }: Question, measures: Measures) {
	return {
		before: panLine(situation, measures),
		change: changeWords(situation, measures),
		pans: [situation.before, situation.after].map(
			({ pan, meat_kg, sides, vegetables_kg = 0, liquid_l, start }) => ({
				lab: { pan, meat_kg, sides, vegetables_kg },
				liquid_l,
				start,
				says: `${measures.mass(meat_kg)}, ${measures.length(thicknessOf(sides))} thick, ${measures.volume(liquid_l)}`,
			}),
		),
		asked: QUANTITIES.map((quantity) => ({
			quantity,
			words: ASKED[quantity],
			answers: ANSWERS.map((answer) => ({ answer, words: SAID[quantity][answer] })),
		})),
		lab: labAddress([situation.before]),
	};
}

function panLine({ before }: Situation, { length, mass, temperature, volume }: Measures): string {
	const { heat } = before;
	const oven = "set_C" in heat ? `${HEATS[heat.kind].words} at ${temperature(heat.set_C)}` : "hob";
	return `${mass(before.meat_kg)} of ${cutWords(before.cut)}, ${length(thicknessOf(before.sides))} thick, in one ${panWords(before.pan)} with ${volume(before.liquid_l)} of boiling stock at ${SALT_IN_PCT} % salt, ${LIDS[before.lid]}, ${oven}.`;
}

/** The one thing that is other, in a sentence. */
function changeWords({ change, before, after }: Situation, measures: Measures): string {
	const { length, mass, temperature, volume } = measures;
	const set = (braiseGiven: typeof before) =>
		"set_C" in braiseGiven.heat ? temperature(braiseGiven.heat.set_C) : "";
	switch (change) {
		case "crowded":
			return `The pieces are pressed in: ${mass(after.meat_kg)} in the same pan, so only ${volume(after.liquid_l)} goes in to the same line.`;
		case "deeperPan":
			return `The same meat and liquid go into a ${panWords(after.pan)}.`;
		case "lidOff":
			return `The cover comes off after ${durationWords(after.lids?.[0]?.at_min ?? 0)} and stays off.`;
		case "paper":
			return "A paper disc lies on it in place of the cover.";
		case "cooler":
		case "hotter":
			return `The oven is set to ${set(after)} in place of ${set(before)}.`;
		case "thicker":
		case "thinner":
			return `The pieces are ${length(thicknessOf(after.sides))} thick; the weight is the same.`;
		case "morePans":
			return `${after.oven?.pans} such pans stand in the oven in place of one.`;
		case "coldStart":
			return `The stock is poured at ${temperature(after.start.liquid_C)} in place of boiling.`;
		case "doors": {
			const first = after.doors?.[0]?.at_min ?? 0;
			return `The oven is opened every ${durationWords(first)} for three hours.`;
		}
		case "lessLiquid":
			return `Only ${volume(after.liquid_l)} is poured.`;
	}
}

/** What a cook said of a situation. */
export type Said = Readonly<Record<Quantity, Answer>>;

/** The answer with its reason, once the cook has said something. */
export function answerView(question: Question, said: Said, measures: Measures) {
	const { situation, outcome } = question;
	const figures: Readonly<Record<Quantity, (before: number, after: number) => string>> = {
		time: durationRange,
		liquid: (before, after) => `${measures.volume(before)} to ${measures.volume(after)}`,
		salt: (before, after) => `${before.toFixed(2)} % to ${after.toFixed(2)} %`,
	};
	const curves = [outcome.first, outcome.second].map((braised) => braiseCurve(braised));
	return {
		rows: QUANTITIES.map((quantity) => {
			const { before, after, answer } = outcome.of[quantity];
			return {
				words: ASKED[quantity],
				said: SAID[quantity][said[quantity]],
				was: SAID[quantity][answer],
				figures: figures[quantity](before, after),
				verdict: VERDICTS[Math.min(2, answersApart(said[quantity], answer))] ?? "",
			};
		}),
		reason: reasonWords(question, measures),
		curves,
		end_min: Math.max(...curves.map(({ end_min }) => end_min)),
		lab: labAddress([situation.before, situation.after]),
	};
}

const VERDICTS = ["right", "one step off", "off"] as const;

/** Why it came out so, with the model's figures. */
function reasonWords({ situation, outcome }: Question, measures: Measures): string {
	const { temperature, volume } = measures;
	const { first, second } = outcome;
	const at = (braised: typeof first) => steamAt(braised.likely, braised.marks.forkTender?.likely ?? 0);
	const top = temperature(second.peakLiquid_C);
	const steam = `${volume(at(first))} against ${volume(at(second))} steamed away`;
	switch (situation.change) {
		case "crowded":
			return `A piece does not know how many others there are: its time goes by its thickness. More cold meat takes a little longer to bring up. But there is less liquid, and more juice for it: ${steam}, and the little salt of less stock goes into all that juice.`;
		case "deeperPan":
			return `Steam leaves by the surface and heat comes in by the outside, and a narrower pan has less of both: ${steam}. Meat and juice are the same.`;
		case "lidOff":
			return `Without its cover the liquid cools itself by steaming, well below the boil, and softening all but stops: the last part takes far longer. ${capital(steam)}, and the salt stays behind.`;
		case "paper":
			return `Paper lets steam through: ${steam}. The salt stays behind in less liquid. What steams away takes heat along, so it is tender no sooner.`;
		case "cooler":
			return `The liquid comes up more slowly, to ${top}; once it boils the oven hardly matters to the meat. Less boils off: ${steam}.`;
		case "hotter":
			return `The liquid is up sooner, but it can only boil: ${top}. What is more than that boils off: ${steam}.`;
		case "thicker":
			return "Heat has to cross a thicker piece: the way counts more than in proportion. The liquid stands longer in the oven, so a little more of it goes.";
		case "thinner":
			return "Heat has less far to go. What is left of the time is softening at the boil, and that does not get shorter with the piece.";
		case "morePans":
			return "Each pan has its own pieces and its own liquid. The oven shares its power among them: a full oven comes up later; allow a quarter of an hour. After that the time goes by thickness, not by portions.";
		case "coldStart":
			return `All the cold liquid has to be brought up first; until then nothing softens. Once it boils all is as before: ${steam}.`;
		case "doors":
			return `Every opening lets the oven's air fall, but a full pan holds its heat: it loses little each time. ${capital(steam)}.`;
		case "lessLiquid":
			return `The meat is as hot in little liquid as in much. ${capital(steam)}: the same steam from less liquid is a larger part of it, but the juice of the meat is the same and thins what is left.`;
	}
}

function capital(words: string): string {
	return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Fewer than this say nothing yet. */
const ENOUGH = 3;
const WELL = 0.75;
const BADLY = 0.5;

/** What a cook judges well and badly, ready to show. */
export function recordView({ all, byQuantity, byChange }: CookRecord) {
	const known = byChange.filter(({ score }) => score.of >= ENOUGH);
	const words = (from: typeof known) =>
		from.map(({ change, score }) => ({ what: CHANGE_WORDS[change], score: scoreWords(score) }));
	return {
		answered: all.of,
		all: scoreWords(all),
		byQuantity: QUANTITIES.map((quantity) => ({
			what: ASKED[quantity],
			score: scoreWords(byQuantity[quantity]),
			share: share(byQuantity[quantity]),
		})),
		well: words(known.filter(({ score }) => share(score) >= WELL)),
		badly: words(known.filter(({ score }) => share(score) < BADLY).reverse()),
	};
}

function scoreWords({ right, near, of: all }: Score): string {
	return `${right} of ${all} right${near > 0 ? `, ${near} one step off` : ""}`;
}
