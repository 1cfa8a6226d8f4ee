import { stillToGo } from "#core/braise";
import type { WorkedDish } from "#core/day";
import { dryBeforeTender, isOfLastGo, lastStartAt, lastTender } from "#core/dish";
import { heatOf } from "#core/recipe";
import { MINUTE_MS, spokenDuration } from "#core/time";
import type { Cut, HeatWay } from "#core/trade";
import type { PlaceGiven } from "../Place.ts";

/** Nobody works to 18:01. */
const STEP_MIN = 5;

/** One line of the check sheet. */
export interface Check {
	readonly when: string;
	readonly what: string;
	readonly text: string;
}

/** What is felt for, and what is done when it is early or late. */
export function checksOf({ plan, kitchen, reading }: PlaceGiven): Check[] {
	const { braise, recipe, tender } = plan;
	if (!braise) return [];
	const heat = AT_HEAT[heatOf(recipe)];
	const { start: into, tender_min } = lastTender(plan, plan.tasks);
	const lift = lastStartAt(plan, "rest");
	const at = (instant: number) => reading.clockAfter(instant, into);
	const dry = dryBeforeTender(plan, plan.tasks);
	if (dry !== null) {
		return [
			{
				when: at(dry),
				what: "Dry, before it is tender",
				text: "Look well before then and pour hot stock. No time is told for a pan that runs dry.",
			},
		];
	}
	const pulls = stillToGo(tender_min, tender_min.likely);
	const late = stillToGo(tender_min, (lift - into) / MINUTE_MS);
	const bone = recipe.losses.boneShare ? " The bone turns in its place." : "";
	const holdHot = reading.temperature(kitchen.policy.code.holdHot_C);
	return [
		{
			when: at(tender.low),
			what: "Check first",
			text: `${heat.feel}${bone} ${heat.close}`,
		},
		{
			when: at(tender.likely),
			what: "Likely tender",
			text: `If it still pulls, give it ${minutesMore(pulls.likely_min)}, and be ready for ${minutesMore(pulls.high_min)}.`,
		},
		{
			when: "Early",
			what: "Tender before it is wanted",
			text: `${earlyWords(plan, at)}${heat.early}; keep them above ${holdHot}, the house code's hot hold, or lift and cool them as the code says.`,
		},
		{
			when: at(lift),
			what: "If not tender by then",
			text: `Give it ${minutesMore(late.likely_min)}, and be ready for ${minutesMore(late.high_min)}. ${heat.late}${hotterWords(heat, braise.slowest.braised.peakLiquid_C)}`,
		},
	];
}

/** What has no fibres to shred: it breaks instead. */
const BREAKS: ReadonlySet<Cut> = new Set(["squid", "celeriac"]);

/** What becomes of it when it goes on, and from when: of all its pans those that are soonest so far. */
function earlyWords(plan: WorkedDish, at: (instant: number) => string): string {
	const shreds = firstAt(plan, "shredding");
	if (shreds === null) return "";
	if (BREAKS.has(plan.recipe.cut)) return `It breaks when lifted from about ${at(shreds)}. `;
	const apart = firstAt(plan, "fallingApart");
	return `It shreds from about ${at(shreds)}${apart === null ? "" : `, falls apart from about ${at(apart)}`}. `;
}

/** When the first pans of the last filling are likely so far, to the five minutes; null where none comes to it. */
function firstAt({ braise, tasks }: WorkedDish, mark: "shredding" | "fallingApart"): number | null {
	const instants = tasks.filter(isOfLastGo).flatMap(({ part, start, figures }) => {
		const group = part === "oven" ? braise?.groups.find(({ id }) => id === figures.group) : undefined;
		const reached = group?.braised.marks[mark];
		return reached ? [start + Math.round(reached.likely / STEP_MIN) * STEP_MIN * MINUTE_MS] : [];
	});
	return instants.length === 0 ? null : Math.min(...instants);
}

function minutesMore(minutes: number): string {
	return spokenDuration(Math.max(STEP_MIN, Math.round(minutes / STEP_MIN) * STEP_MIN));
}

/** Near the boil, °C: the liquid has nothing to gain. */
const NEAR_BOIL_C = 98;

function hotterWords({ hotter }: HeatWords, peak_C: number): string {
	if (hotter === null) return "";
	return peak_C >= NEAR_BOIL_C
		? ` ${hotter} gains nothing: the liquid boils already.`
		: " It never boils: every degree below costs time.";
}

/** How a heat is felt, turned down and gone on with. */
interface HeatWords {
	readonly feel: string;
	readonly close: string;
	readonly early: string;
	readonly late: string;
	/** What might be tried to hurry it; null where nothing is. */
	readonly hotter: string | null;
}

const NO_PULL = "It is tender when the probe slides in and comes out with no pull.";
const LIFT_READY = "Ladle off liquid and start the sauce. Lift those that are ready, leave the others.";

const AT_HEAT: Readonly<Record<HeatWay, HeatWords>> = {
	oven: {
		feel: `Probe the thickest piece of the fullest pan. ${NO_PULL}`,
		close: "Close the cover again at once.",
		early: "Turn the oven down and leave the pans covered",
		late: LIFT_READY,
		hotter: "A hotter oven",
	},
	hob: {
		feel: `Probe the thickest piece of the fullest pot. ${NO_PULL}`,
		close: "Put the lid back at once.",
		early: "Turn the flame down and leave the pots covered",
		late: LIFT_READY,
		hotter: "A higher flame",
	},
	slowCooker: {
		feel: `Probe the thickest piece of the fullest vessel. ${NO_PULL}`,
		close: "Put the lid back at once: it is slow to come up again.",
		early: "Set it to keep warm, the lid on",
		late: LIFT_READY,
		hotter: null,
	},
	pressure: {
		feel: `Take a pot off the heat, let its pressure fall by itself, open it and probe the thickest piece. ${NO_PULL}`,
		close: "Shut it and bring it up again if it still pulls.",
		early: "Take the pots off the heat and let the pressure fall by itself",
		late: "Open when the pressure has fallen, ladle off liquid and start the sauce.",
		hotter: null,
	},
	bath: {
		feel: "Press the thickest piece through its bag. It is tender when it gives to the finger and does not spring back.",
		close: "Sink the bag again: what floats is not cooked.",
		early: "Leave the bags under water and set the bath down",
		late: "Lift the bags that are ready, leave the others under water.",
		hotter: null,
	},
};
