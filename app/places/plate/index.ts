import type { WorkedDish } from "#core/day";
import { startAt } from "#core/dish";
import { threeDigits } from "#core/quantity";
import type { ServedIn } from "#core/recipe";
import { wantedWorking } from "#core/yields";
import type { Fact } from "../../ui/parts/Facts.tsx";
import { counted, type Reading } from "../../ui/words/reading.ts";
import type { PaperLine, Place, PlaceGiven } from "../Place.ts";
import { present, workAt } from "../sums.ts";
import { portionWords, spiceWords } from "../words.ts";
import { servedView } from "./served.view.ts";

/** What one cook does at the end, by what the dish is served in. */
const VERBS: Readonly<Record<ServedIn, string>> = {
	plates: "plating",
	platters: "dishing up",
	buffet: "filling",
	boxes: "filling",
	pulled: "pulling",
};

/** "92 plates", "12 platters for 8", "5.6 kg pulled" */
function servedWords({ serving, chain }: WorkedDish, reading: Reading): string {
	switch (serving.in) {
		case "platters": {
			const { count, guests } = serving.platters ?? { count: 0, guests: 0 };
			return `${counted(count, "platter")} for ${guests}`;
		}
		case "buffet":
			return `buffet for ${serving.guests}`;
		case "boxes":
			return counted(chain.portions, "box", "boxes");
		case "pulled":
			return `${reading.mass(serving.pulled?.ready_kg ?? chain.cooked_kg)} pulled`;
		case "plates":
			return counted(serving.plates, "plate");
	}
}

function taskWords(plan: WorkedDish, reading: Reading): string {
	const { serving, chain } = plan;
	switch (serving.in) {
		case "boxes":
			return `Fill ${chain.portions} boxes`;
		case "plates":
			return `Plate ${serving.plates}`;
		case "pulled":
			return `Pull it: ${servedWords(plan, reading)}`;
		default:
			return `Dish up: ${servedWords(plan, reading)}`;
	}
}

/** As many come out as went in; none of it reaches a plate. */
function outWords(plan: WorkedDish): string {
	const spices = spiceWords(plan);
	return spices ? ` Count out first: ${spices.out}.` : "";
}

/** From the bottom up, with the people who stand there. */
function lineWords({ serving: { order, people } }: WorkedDish): string {
	if (order.length === 0) return "";
	const line = people === null ? "" : `, ${counted(people, "person", "people")} on the line`;
	return `${order.join(", then ")}${line}`;
}

function factsOf({ plan, reading }: PlaceGiven): Fact[] {
	const { serving, second, recipe, chain, work, order } = plan;
	const { pulled, platters } = serving;
	return [
		{
			figure: threeDigits(chain.portions / Math.max(1, work.places.plate.wall_min)),
			label: `a minute, with ${counted(order.hands, "cook")}`,
		},
		{ figure: portionWords(plan, reading), label: platters ? "a portion" : "on each" },
		...(second
			? [{ figure: reading.mass(second.perPortion_g / 1000), label: `of ${second.ingredient.name}, cooked` }]
			: []),
		{ figure: reading.volume(recipe.sauce_ml / 1000), label: platters ? "sauce a portion" : "sauce on each" },
		...(pulled
			? [
					{
						figure: `${Math.floor((pulled.ready_kg * 1000) / pulled.portion_g)} × ${reading.mass(pulled.portion_g / 1000)}`,
						label: "for the other dish",
					},
				]
			: []),
		...(serving.guests === chain.portions
			? []
			: [{ figure: String(serving.guests), label: `guests, ${chain.portions} portions` }]),
		...(serving.plates > 0 ? [{ figure: String(serving.plates), label: "hot plates" }] : []),
	];
}

function paper({ plan, reading }: PlaceGiven): PaperLine[] {
	const spices = spiceWords(plan);
	const line = lineWords(plan);
	const { second, serving } = plan;
	return [
		...(spices ? [{ what: "Plate", text: `Count out before the first leaves: ${spices.out}` }] : []),
		...(line ? [{ what: "Plate up", text: line }] : []),
		...(second
			? [
					{
						what: "Each gets",
						text: `${portionWords(plan, reading)} and ${reading.mass(second.perPortion_g / 1000)} of ${second.ingredient.name}`,
					},
				]
			: []),
		...(serving.in === "plates" ? [] : [{ what: "Serve", text: servedWords(plan, reading) }]),
	];
}

export const plate: Place = {
	key: "plate",
	figure: ({ plan, reading }) => servedWords(plan, reading),
	task: (_, { plan, reading }) => taskWords(plan, reading),
	headline: (given) => {
		const { plan, reading } = given;
		const line = lineWords(plan);
		return {
			title: servedWords(plan, reading),
			says: `Start ${VERBS[plan.serving.in]} at ${reading.clock(startAt(plan, "plate"))} for ${reading.clock(plan.order.serviceAt)}.${line ? ` ${line}.` : ""}${outWords(plan)}`,
			facts: factsOf(given),
		};
	},
	paper,
	drawing: servedView,
	sums: ({ plan }) => [wantedWorking(plan.order), ...present(plan.sums.made), ...workAt(plan, "plate")],
	takes: ({ line }) => line.group === "side" || line.group === "garnish",
};
