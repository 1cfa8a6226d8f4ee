import { type Plan, type PlanCarry, startAt } from "#core/plan";
import { threeDigits } from "#core/quantity";
import type { PlacedTask } from "#core/tasks";
import { durationWords } from "#core/time";
import type { Fact } from "../../ui/parts/Facts.tsx";
import { counted, type Reading } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { portionWords, spiceWords } from "../words.ts";

const boxed = ({ recipe }: Plan) => recipe.servedIn === "boxes";
const portionsWords = (plan: Plan) =>
	boxed(plan) ? counted(plan.chain.portions, "box", "boxes") : counted(plan.chain.portions, "plate");

/** As many come out as went in; none of it reaches a plate. */
function outWords(plan: Plan): string {
	const spices = spiceWords(plan);
	return spices ? ` Count out first: ${spices.out}.` : "";
}

/** Packing and carrying stand at this place, too. */
function carryTask({ part, figures: { boxes }, start, end }: PlacedTask): string | null {
	const counts = counted(Number(boxes), "insulated box", "insulated boxes");
	if (part === "pack") return `Pack ${counts}, warmed or cooled first; write the temperature of each`;
	return part === "carry" ? `Carry ${counts}, ${durationWords((end - start) / MINUTE_MS)}` : null;
}

const MINUTE_MS = 60_000;

/** "2 boxes, packed at 80 °C, there at 76 °C; 63 °C or above on the way: met" */
function carryLine(carry: PlanCarry, reading: Reading): string {
	const { boxes, packed_C, arrives_C, limit_C, choice, verdict } = carry;
	const limit = `${reading.temperature(limit_C)} or ${choice.hot ? "above" : "below"} on the way`;
	return `${counted(boxes, "insulated box", "insulated boxes")}, packed at ${reading.temperature(packed_C)}, there at about ${reading.temperature(Math.round(arrives_C))}; ${limit}: ${CARRY_VERDICTS[verdict]}`;
}

const CARRY_VERDICTS = { met: "met", close: "met if it goes as is likely", missed: "missed" } as const;

function carryWords({ carry }: Plan, reading: Reading): string {
	return carry ? `Carried for ${durationWords(carry.choice.minutes)} in ${carryLine(carry, reading)}. ` : "";
}

function carryFacts({ carry }: Plan, reading: Reading): Fact[] {
	if (!carry) return [];
	const { boxes, limit_min, limit_C, choice } = carry;
	return [
		{ figure: counted(boxes, "box", "boxes"), label: "insulated, to carry" },
		{
			figure: limit_min === null ? "never" : durationWords(Math.round(limit_min)),
			label: `until it is ${choice.hot ? "below" : "above"} ${reading.temperature(limit_C)}`,
		},
	];
}

export const plate: Place = {
	key: "plate",
	figure: ({ plan }) => portionsWords(plan),
	task: (task, { plan }) =>
		carryTask(task) ?? (boxed(plan) ? `Fill ${plan.chain.portions} boxes` : `Plate ${plan.chain.portions}`),
	headline: ({ plan, reading }) => ({
		title: portionsWords(plan),
		says: `${carryWords(plan, reading)}Start ${boxed(plan) ? "filling" : "plating"} at ${reading.clock(startAt(plan, "plate"))} for ${reading.clock(plan.order.serviceAt)}.${outWords(plan)}`,
		facts: [
			{
				figure: threeDigits(plan.chain.portions / Math.max(1, plan.work.places.plate.wall_min)),
				label: `a minute, with ${counted(plan.order.hands, "cook")}`,
			},
			{ figure: portionWords(plan, reading), label: "on each" },
			{ figure: reading.volume(plan.recipe.sauce_ml / 1000), label: "sauce on each" },
			...carryFacts(plan, reading),
		],
	}),
	paper: ({ plan, reading }) => {
		const spices = spiceWords(plan);
		return [
			...(plan.carry ? [{ what: "Carry", text: `Carry: ${carryLine(plan.carry, reading)}` }] : []),
			...(spices ? [{ what: "Plate", text: `Count out before the first leaves: ${spices.out}` }] : []),
		];
	},
	takes: ({ line }) => line.group === "side" || line.group === "garnish",
};
