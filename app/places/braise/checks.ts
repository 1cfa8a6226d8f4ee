import { stillToGo } from "#core/braise";
import type { WorkedDish } from "#core/day";
import { dryBeforeTender, isOfLastGo, lastStartAt, lastTender } from "#core/dish";
import { MINUTE_MS, spokenDuration } from "#core/time";
import type { Cut } from "#core/trade";
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
			text: `Probe the thickest piece of the fullest pan. It is tender when the probe slides in and comes out with no pull.${bone} Close the cover again at once.`,
		},
		{
			when: at(tender.likely),
			what: "Likely tender",
			text: `If it still pulls, give it ${minutesMore(pulls.likely_min)}, and be ready for ${minutesMore(pulls.high_min)}.`,
		},
		{
			when: "Early",
			what: "Tender before it is wanted",
			text: `${earlyWords(plan, at)}Turn the oven down and leave the pans covered; keep them above ${holdHot}, the house code's hot hold, or lift and cool them as the code says.`,
		},
		{
			when: at(lift),
			what: "If not tender by then",
			text: `Give it ${minutesMore(late.likely_min)}, and be ready for ${minutesMore(late.high_min)}. Ladle off liquid and start the sauce. Lift those that are ready, leave the others. ${hotterWords(braise.slowest.braised.peakLiquid_C)}`,
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

function hotterWords(peak_C: number): string {
	return peak_C >= NEAR_BOIL_C
		? "A hotter oven gains nothing: the liquid boils already."
		: "It never boils: every degree below costs time.";
}
