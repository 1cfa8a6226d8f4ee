import { data } from "react-router";
import { Refusal } from "#core/check";
import { type Cost, costOfPlan } from "#core/cost";
import { type DishOrder, lineGivesTooMuch, type Plan, type PlanWarning, plan } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { lineWords } from "#core/pans";
import { type Recipe, SCHOOL_QUESTIONS, SCHOOLS } from "#core/recipe";
import { DAY_MS } from "#core/time";
import { cutWords, LIDS } from "#core/trade";
import { allergenView } from "../ui/words/allergenView.ts";
import { lineView } from "../ui/words/lineView.ts";
import { counted, money, perCent, percent, type Reading } from "../ui/words/reading.ts";
import { stepViews } from "../ui/words/stepView.ts";
import { warningWords } from "../ui/words/warningWords.ts";
import type { CardSize } from "./cardSize.ts";
import { inGroups } from "./groupLabels.ts";

const WEEK_MS = 7 * DAY_MS;

export interface CardHouse {
	readonly kitchen: Kitchen;
	readonly reading: Reading;
	readonly currency: string;
	readonly menuPrice_minor: number | null;
}

/** A dish planned at the size its card is read at, in the kitchen's own pans, as if for a week from now. */
export function planCard(recipe: Recipe, size: CardSize, { kitchen, reading }: CardHouse): Plan {
	return plan(recipe, orderFor(recipe, size, reading.now + WEEK_MS), kitchen);
}

/** At the card's own size, which only a version that breaks a limit of today cannot be planned at. */
export const AS_WRITTEN: CardSize = { basis: "factor", factor: 1 };

/**
 * What is made of a card, or of the card as it is written where its size cannot be.
 *
 * @throws what shows why, by its name, where it cannot be planned at all
 */
export function cardOrWhy<T>(
	{ name }: Pick<Recipe, "name">,
	size: CardSize,
	make: (size: CardSize) => T,
): { readonly made: T; readonly refused: string | null } {
	try {
		return { made: make(size), refused: null };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		if (size === AS_WRITTEN) throw notPlanned(name, error);
		return { made: cardOrWhy({ name }, AS_WRITTEN, make).made, refused: error.message };
	}
}

function notPlanned(name: string, { problems }: Refusal) {
	const why = problems.map(({ message }) => message).join("; ");
	return data({ said: `${name}: ${why}` }, { status: 422 });
}

function orderFor(recipe: Recipe, size: CardSize, serviceAt: number): DishOrder {
	const base = {
		id: "card",
		serviceAt,
		uptake: 1,
		spare: 0,
		hands: 1,
		panTypeId: null,
		panWishes: [],
		colour: null,
		chill: null,
		lineSettled: false,
		basis: { from: "covers" },
	} as const;
	switch (size.basis) {
		case "covers":
			return { ...base, covers: size.portions };
		case "factor":
			return { ...base, covers: Math.max(1, Math.round(recipe.portions * size.factor)) };
		case "onHand":
			return { ...base, covers: 1, basis: { from: "onHand", onHand_kg: size.onHand_kg } };
		case "pans":
			return { ...base, covers: 1, panTypeId: size.panTypeId, basis: { from: "pans", pans: size.pans } };
	}
}

/** The card is nobody's sitting: its hours, its hands and its wanted portions are not known. */
const OF_A_SITTING: ReadonlySet<PlanWarning["code"]> = new Set([
	"beforeOpening",
	"tooFewFromMeat",
	"tooFewFromPans",
	"platesAMinute",
	"holdHot",
	"aheadOffer",
	"searingLong",
]);

/** What is said of a card while it is written: that its line gives more than its sauce will take. */
export function lineNote(recipe: Recipe, house: CardHouse): string | null {
	const much = lineGivesTooMuch(planCard(recipe, { basis: "covers", portions: recipe.portions }, house));
	if (!much) return null;
	const { volume } = house.reading;
	return `The liquid line, ${lineWords(recipe.braise.line)}, leaves ${volume(much.gives_l)} for ${volume(much.sauce_l)} of sauce: more than twice as much. The plan pours what the sauce asks; a lower line says the same on the card.`;
}

/** A dish's card at one size, ready to read. */
export function dishCard(recipe: Recipe, size: CardSize, house: CardHouse) {
	const planned = planCard(recipe, size, house);
	const { reading, kitchen, currency } = house;
	const cost = costOfPlan(planned, recipe, house.menuPrice_minor);
	return {
		portions: planned.chain.portions,
		heading: headingOf(planned, size, reading),
		cut: cutWords(recipe.cut),
		facts: factsOf(recipe, planned, reading),
		groups: inGroups(
			planned.lines.map((line) => ({
				...lineView(line, reading, kitchen.known.byId),
				group: line.line.group,
			})),
		),
		steps: stepViews(recipe.steps, planned.batch, planned.order.hands),
		allergens: allergenView(planned.allergens, kitchen.policy.allergenList),
		warnings: planned.warnings
			.filter(({ code }) => !OF_A_SITTING.has(code))
			.map((warning) => warningWords(warning, reading)),
		schools: SCHOOL_QUESTIONS.flatMap((question) => {
			const answer = recipe.schools?.[question];
			if (!answer) return [];
			const answers: Readonly<Record<string, { words: string }>> = SCHOOLS[question].answers;
			return [{ question: SCHOOLS[question].words, answer: answers[answer]?.words ?? answer }];
		}),
		cost: costView(cost, currency),
	};
}

export type DishCard = ReturnType<typeof dishCard>;

function headingOf({ chain, pieces }: Plan, size: CardSize, reading: Reading): string {
	const portions = counted(chain.portions, "portion");
	if (size.basis === "onHand") return `${reading.mass(size.onHand_kg)} makes ${portions}`;
	if (size.basis === "pans")
		return `${counted(size.pans, "pan")} of ${counted(pieces, "piece")} makes ${portions}`;
	return `For ${portions}`;
}

function factsOf(recipe: Recipe, planned: Plan, reading: Reading): { figure: string; label: string }[] {
	const { trimLoss, boneShare = 0, cookingLoss } = recipe.losses;
	const portion =
		"portion_g" in recipe.portion
			? reading.mass(recipe.portion.portion_g / 1000)
			: counted(recipe.portion.piecesPerPortion, "piece");
	const { salt_pct } = planned;
	return [
		{ figure: portion, label: "a portion" },
		{ figure: reading.volume(recipe.sauce_ml / 1000), label: "sauce a portion" },
		{ figure: reading.mass(planned.chain.asPurchased_kg), label: "as purchased" },
		{ figure: reading.mass(recipe.piece.weight_g / 1000), label: "a piece, trimmed" },
		{ figure: reading.temperature(recipe.braise.oven_C.set), label: "oven" },
		{ figure: lineWords(recipe.braise.line), label: "liquid line" },
		{ figure: LIDS[recipe.braise.lid], label: "on the pan" },
		{ figure: percent(trimLoss), label: "trim loss" },
		...(boneShare > 0 ? [{ figure: percent(boneShare), label: "bone" }] : []),
		{ figure: percent(cookingLoss), label: "cooking loss" },
		...(salt_pct === null ? [] : [{ figure: perCent(salt_pct), label: "salt at the end" }]),
	];
}

/** The cost of a dish in brief, or what is missing for it. */
export function costView(cost: Cost, currency: string) {
	const words = (minor: number | null) => (minor === null ? null : money(minor, currency));
	return {
		perPortion: words(cost.perPortion_minor),
		perCookedKg: words(cost.perCookedKg_minor),
		total: words(cost.total_minor),
		known: money(cost.known_minor, currency),
		shareOfMenu: cost.shareOfMenu === null ? null : percent(cost.shareOfMenu),
		missing: cost.missing,
	};
}
