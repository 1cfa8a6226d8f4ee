import type { WorkedDish } from "#core/day";
import type { ByProductRule, ByProductUses, ByProductWorth, PlanFigures, PlanLine } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import type { LiquidLine } from "#core/pans";
import type { Recipe, Swap } from "#core/recipe";
import type { CookChoice } from "#core/sitting";
import type { PlacedTask } from "#core/tasks";
import type { PlaceKey } from "#core/trade";
import type { Working } from "#core/workings";
import type { Fact } from "../ui/parts/Facts.tsx";
import type { Reading } from "../ui/words/reading.ts";

/** What a place is told from. */
export interface PlaceGiven {
	readonly plan: WorkedDish;
	readonly kitchen: Kitchen;
	readonly reading: Reading;
}

/** The same on the long table, where things can be settled. */
export interface TableGiven extends PlaceGiven {
	/** The line of the card itself, where the sitting has one of its own; else null. */
	readonly cardLine: LiquidLine | null;
	/** How the sitting makes it tender, where that is another way than the card's. */
	readonly cook?: CookChoice | null;
	/** What can be settled of what it is made of; none where nothing can. */
	readonly making?: Making;
}

/** What a sitting settles of the lines of a dish, and of what is left of it. */
export interface Making {
	/** As the book has it. */
	readonly card: Recipe;
	readonly swaps: Swap[];
	readonly byProducts: ByProductUses;
	readonly cook: CookChoice | null;
	/** What came, as it is typed; empty where nobody has said. */
	readonly came: string;
	/** The dish with something settled otherwise; undefined where it cannot be planned so. */
	readonly tried: (other: {
		readonly swaps?: Swap[];
		readonly cook?: CookChoice | null;
	}) => PlanFigures | undefined;
	readonly rule: ByProductRule;
	readonly worth: ByProductWorth;
	readonly currency: string;
}

/** The answer of a place in one line, with the figures beside it. */
export interface Headline {
	readonly title: string;
	readonly says: string;
	readonly facts: readonly Fact[];
}

/** One line of a place on paper. */
export interface PaperLine {
	readonly what: string;
	readonly text: string;
}

/**
 * What a place of the long table is. Everything about it stands in its own folder; whether a dish
 * needs it, when it starts and how its figures come about are values of the plan.
 */
export interface Place {
	readonly key: PlaceKey;
	/** Its one figure. */
	figure(given: PlaceGiven): string;
	/** Its clock, where the bare time would not say enough. */
	clock?(time: string): string;
	/** A task of it as one line of a day's list. */
	task(task: PlacedTask, given: PlaceGiven): string;
	headline(given: PlaceGiven): Headline;
	/** Which lines of the card are wanted here. */
	takes(line: PlanLine, plan: WorkedDish): boolean;
	/** What its own drawing shows; undefined when there is nothing to draw. */
	drawing?(given: TableGiven): unknown;
	/** How its figures came about, as they were worked out. */
	sums?(given: PlaceGiven): readonly Working[];
	/** What the production sheet says of it besides its steps. */
	paper?(given: PlaceGiven): readonly PaperLine[];
}

export const NO_LINES = () => false;
