import type { WorkedDish } from "#core/day";
import { joinsLate, type PlanPour, shareInGo, startAt } from "#core/dish";
import { lineWords } from "#core/pans";
import { durationWords } from "#core/time";
import type { Fact } from "../../ui/parts/Facts.tsx";
import { counted, type Reading } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { workAt } from "../sums.ts";
import { spiceWords } from "../words.ts";
import { accountView } from "./account.view.ts";
import { liquidSums } from "./sums.ts";

/** Less than this is no surplus, litres. */
const A_LADLE_L = 0.2;

/** Why so much is poured, and what would be over. */
function pourWords({ pour, sauce }: WorkedDish, reading: Reading): string {
	if (!pour) return "No pan for it yet.";
	const over_l = sauce?.over_l ?? 0;
	const over = over_l > A_LADLE_L ? ` ${reading.volume(over_l)} will be over.` : "";
	return `${POURED[pour.decidedBy]}.${over}`;
}

const POURED: Readonly<Record<PlanPour["decidedBy"], string>> = {
	sauce: "What the sauce asks, and no more",
	least: "A third up the pieces: meat and vegetables give most of what the sauce asks",
	line: "To the card's line, the most; the sauce would ask more",
	chef: "To the line you have set",
	wine: "What the wine brings is enough",
};

/** The three figures that decide, beside each other. */
function pourFacts({ pour, recipe }: WorkedDish, reading: Reading): Fact[] {
	if (!pour) return [];
	return [
		{ figure: reading.volume(pour.forSauce_l), label: "the sauce asks" },
		{ figure: reading.volume(pour.least_l), label: "a third up the pieces" },
		{
			figure: reading.volume(pour.most_l),
			label:
				pour.decidedBy === "chef"
					? `your line: ${lineWords(recipe.braise.line)}`
					: `the card's line: ${lineWords(pour.cardLine)}`,
		},
	];
}

export const build: Place = {
	key: "build",
	figure: ({ plan, reading }) => reading.volume(plan.pans.liquid_l),
	task: ({ figures: { go } }, { plan, reading }) => {
		const share = go === undefined ? 1 : shareInGo(plan.pans, Number(go));
		return `Build ${reading.volume(plan.pans.liquid_l * share)} of liquid`;
	},
	headline: ({ plan, reading }) => ({
		title: `${reading.volume(plan.pans.liquid_l)} of liquid`,
		says: `${pourWords(plan, reading)} From ${reading.clock(startAt(plan, "build"))}.`,
		facts: [
			...pourFacts(plan, reading),
			{
				figure: durationWords(plan.work.places.build.wall_min),
				label: `for ${counted(plan.order.hands, "cook")}`,
			},
		],
	}),
	sums: ({ plan }) => [...liquidSums(plan), ...workAt(plan, "build")],
	takes: (planned) => {
		const { line } = planned;
		if (joinsLate(planned)) return false;
		if (line.group === "liquid") return true;
		return line.group === "base" && line.role !== "main" && line.role !== "searFat";
	},
	drawing: accountView,
	paper: ({ plan }) => {
		const spices = spiceWords(plan);
		return spices ? [{ what: "Build", text: `Into the liquid: ${spices.in}` }] : [];
	},
};
