import type { OldClaims, PanThrough } from "#core/braise";
import { formOf, thicknessOf } from "#core/heat";
import { depthOf, panWords } from "#core/pans";
import { durationRange, durationsWords, durationWords } from "#core/time";
import { cutWords, LIDS } from "#core/trade";
import type { Measures } from "../ui/words/measures.ts";
import { counted, percent } from "../ui/words/reading.ts";
import { floorTaken, HEATS, isOverfull, type LabPan, litresOf, otherSides } from "./labPan.ts";

/** What happened in one pan, sentence by sentence. */
export function storyWords(through: PanThrough, { temperature, volume }: Measures): string[] {
	const { story, tender_min, curve, peakLiquid_C, sensitivities } = through;
	const dry = curve.dryAt_min === null ? [] : [`It boils dry at ${durationWords(curve.dryAt_min)}.`];
	if (!story || !tender_min) {
		return [
			`It is not tender within two days: the liquid never passes ${temperature(peakLiquid_C)}.`,
			...dry,
		];
	}
	const [most] = sensitivities;
	const after = Math.round(story.softenedAfter * 100);
	return [
		`The liquid was up to ${temperature(story.liquidTop_C)} after ${durationWords(story.liquidUp_min)}.`,
		`The centre reached ${temperature(story.core_C)} at ${durationWords(story.coreAt_min)}; ${softeningWords(after)} came after that.`,
		`Half way to tender in time the centre was at ${temperature(story.halfWay_C)} already, and it still pulled.`,
		`By fork-tender ${volume(story.juice_l)} of juice has come out and ${volume(story.steam_l)} has steamed away.`,
		...dry,
		...(most ? [`Least sure is ${UNSURE[most.what]}: ${durationRange(most.low_min, most.high_min)}.`] : []),
	];
}

function softeningWords(after: number): string {
	if (after >= 95) return "nearly all of the softening";
	return after >= 50 ? `most of the softening, ${after} %,` : `${after} % of the softening`;
}

const UNSURE = {
	thickness: "how thick the pieces really are",
	oven: "what the oven really gives",
	cut: "the animal",
	pan: "how well the heat gets into the pan",
	lid: "how well the lid sits",
} as const;

/** What is other in one pan than in the first, and what that did. */
export function againstFirst(
	first: { readonly lab: LabPan; readonly through: PanThrough },
	other: { readonly lab: LabPan; readonly through: PanThrough },
	measures: Measures,
): string {
	const changes = differences(first.lab, other.lab, measures);
	if (changes.length === 0) return "The same as pan A.";
	const [a, b] = [first.through, other.through];
	if (!a.tender_min || !b.tender_min) return `Against pan A: ${changes.join(", ")}.`;
	const later_min = b.tender_min.likely - a.tender_min.likely;
	const more_l = b.liquidLeft_l - a.liquidLeft_l;
	const time =
		Math.abs(later_min) < 2
			? "tender at the same time"
			: `${durationWords(Math.abs(later_min))} ${later_min > 0 ? "later" : "sooner"}`;
	const liquid =
		Math.abs(more_l) < 0.05
			? "as much liquid left"
			: `${measures.volume(Math.abs(more_l))} ${more_l > 0 ? "more" : "less"} left`;
	return `Against pan A: ${changes.join(", ")}. It is ${time}, with ${liquid}.`;
}

function differences(a: LabPan, b: LabPan, measures: Measures): string[] {
	const { mass, volume } = measures;
	const heat = (lab: LabPan) => heatWords(lab, measures);
	const rows: [string, string][] = [
		[cutWords(a.cut), cutWords(b.cut)],
		[sidesWords(a, measures), sidesWords(b, measures)],
		[heat(a), heat(b)],
		[LIDS[a.lid], LIDS[b.lid]],
		[panWords(a.pan), panWords(b.pan)],
		[`${mass(a.meat_kg)} of meat`, `${mass(b.meat_kg)} of meat`],
		[`${volume(litresOf(a))} poured`, `${volume(litresOf(b))} poured`],
		[`${a.pansInOven} in the oven`, `${b.pansInOven} in the oven`],
		[startWords(a, measures), startWords(b, measures)],
		[coverWords(a), coverWords(b)],
		[hotWords(a, measures), hotWords(b, measures)],
		[doorWords(a), doorWords(b)],
	];
	return rows.filter(([word, other]) => word !== other).map(([, other]) => other);
}

function coverWords({ coverOff_min }: LabPan): string {
	return coverOff_min === 0 ? "the cover left on" : `the cover off after ${durationWords(coverOff_min)}`;
}

function doorWords({ doors = [] }: LabPan): string {
	return doors.length === 0 ? "the oven kept shut" : `the oven opened ${counted(doors.length, "time")}`;
}

function hotWords({ hotStart }: LabPan, { temperature }: Measures): string {
	if (hotStart === null) return "no hot start";
	return `${temperature(hotStart.set_C)} for the first ${durationWords(hotStart.minutes)}`;
}

/** "110 × 70 × 45 mm", the way heat takes last. */
function sidesWords({ sides }: LabPan, { length }: Measures): string {
	const others = otherSides(sides).map((mm) => `${length(mm)} × `);
	return `${formWords(sides)} ${others.reverse().join("")}${length(thicknessOf(sides))} thick`;
}

const FORMS = { slab: "slices", cylinder: "bars", ball: "cubes or balls" } as const;

/** What the piece heats like. */
export function formWords(sides: LabPan["sides"]): string {
	return FORMS[formOf(sides)];
}

/** "1:40" after the oven door. */
export function elapsed(minute: number): string {
	return `${Math.floor(minute / 60)}:${String(Math.round(minute) % 60).padStart(2, "0")}`;
}

function startWords({ start }: LabPan, { temperature }: Measures): string {
	return `liquid in at ${temperature(start.liquid_C)}, pieces at ${temperature(start.meat_C)}`;
}

export function heatWords({ heat }: LabPan, { temperature }: Measures): string {
	const { words } = HEATS[heat.kind];
	return "set_C" in heat ? `${words} at ${temperature(heat.set_C)}` : words;
}

/** How the pan is filled, when nothing is wrong with that. */
export function filledWords(lab: LabPan, { length, volume }: Measures): string {
	const taken = Math.round(floorTaken(lab) * 100) / 100;
	return `${volume(litresOf(lab))} in, ${length(depthOf(lab.pan) - lab.line_mm)} below the rim, floor ${percent(taken)} full`;
}

/** What is wrong with how the pan is filled. */
export function fillingWords(lab: LabPan, { length }: Measures): string[] {
	const taken = floorTaken(lab);
	return [
		...(isOverfull(lab) ? [`Too full: it stands within ${length(10)} of the rim and slops.`] : []),
		...(taken > 1
			? [`The pieces lie on each other: ${percent(Math.round(taken * 100) / 100)} of the floor.`]
			: []),
	];
}

/** An old claim and what the first pan says to it. */
export interface OldClaimWords {
	readonly claim: string;
	readonly plainly: string;
	readonly here: string;
}

/** A share as it is said: "a good third", "nearly half". */
function shareWords(share: number): string {
	const [, words] = SHARES.find(([up]) => share <= up) ?? [1, "more than half"];
	return words;
}

const SHARES: readonly (readonly [up: number, words: string])[] = [
	[0.12, "about a tenth"],
	[0.22, "about a fifth"],
	[0.29, "about a quarter"],
	[0.333, "nearly a third"],
	[0.42, "a good third"],
	[0.5, "nearly half"],
];

export function oldClaimWords(claims: OldClaims, { temperature }: Measures): OldClaimWords[] {
	const { juiceShare, core, doubled } = claims;
	const [now, morePans, widerPan] = durationsWords(
		doubled.now_min,
		doubled.morePans_min,
		doubled.widerPan_min,
	);
	return [
		{
			claim: "“Searing seals in the juice.”",
			plainly: "It does not. Searing is for flavour and colour.",
			here: `By fork-tender pan A loses ${shareWords(juiceShare)} of its weight, most of it juice, some of it fat, coloured or not: it runs out as the meat passes ${temperature(45)} to ${temperature(85)}, and no crust holds it.`,
		},
		{
			claim: "“It is done at a core temperature.”",
			plainly: "A braise is done by time at temperature. Feel it.",
			here: `At ${durationWords(core.at_min)} the centre of pan A is at ${temperature(core.then_C)} and it pulls; at fork-tender it is at ${temperature(core.tender_C)}. A thermometer can hardly tell the two apart.`,
		},
		{
			claim: "“Twice the portions, twice the time.”",
			plainly: "The time goes by the thickness of a piece, not by how many there are.",
			here: `Pan A takes ${now}; in twice as many pans ${morePans}, in one pan of twice the floor ${widerPan}. A full oven comes up later; allow a quarter of an hour.`,
		},
	];
}
