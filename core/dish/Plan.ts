import type { OvenFit } from "../ovens/index.ts";
import type { PanChoice } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { AllergenFound, Recipe } from "../recipe/index.ts";
import type { BatchWork, PlacedTask } from "../tasks/index.ts";
import type { PlaceKey } from "../trade/index.ts";
import type { Working } from "../workings/index.ts";
import type { DishOrder } from "./DishOrder.ts";
import type { PlanWork } from "./dishWork.ts";
import type { PansElsewhere } from "./heldPans.ts";
import type { Liquor } from "./liquor.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import type { PlanBraise } from "./planBraise.ts";
import type { PlanCarry } from "./planCarry.ts";
import type { PlanChill } from "./planChill.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanHold } from "./planHold.ts";
import type { PlanLine } from "./planLines.ts";
import type { PlanLiquid } from "./planLiquid.ts";
import type { PlanPour } from "./planPour.ts";
import type { PlanReheat } from "./planReheat.ts";
import type { PlanSauce } from "./planSauce.ts";
import type { PlanSecond } from "./secondMain.ts";
import type { PlanServing } from "./serving.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

/** One dish of one sitting worked out, before it stands on the clock. */
export interface PlanFigures extends BatchSize {
	/** The recipe as it is cooked: its liquid line is the one that is poured to. */
	readonly recipe: Recipe;
	readonly order: DishOrder;
	/** Which beliefs it was planned with. */
	readonly beliefs: string;
	/** The batch over the card: trimmed weight by trimmed weight. */
	readonly factor: number;
	/** How big the batch is for the hands. */
	readonly batch: BatchWork;
	readonly lines: readonly PlanLine[];
	/** The second main; null where the dish has one main. */
	readonly second: PlanSecond | null;
	readonly serving: PlanServing;
	readonly pans: PanChoice;
	/** Which pans the sitting's other dishes have. */
	readonly elsewhere: PansElsewhere;
	readonly ovens: OvenFit;
	/** Both ways of colouring; null when the dish is not coloured. */
	readonly colour: PlanColour | null;
	/** Every kind of pan in every oven from its door to the four marks; null when there is no pan. */
	readonly braise: PlanBraise | null;
	/** Minutes from the oven door to fork-tender, of the slowest pans. */
	readonly braise_min: Range;
	/** What they are given, so that they are tender as surely as the house wants. */
	readonly allowed_min: number;
	readonly work: PlanWork;
	/** What is poured, and why; null when there is no pan. */
	readonly pour: PlanPour | null;
	/** From the lift to the last plate where the meat is held hot on purpose, minutes; none where it is not. */
	readonly hold_min: number;
	/** How it keeps while it is held hot; null where it has no pan. */
	readonly hold: PlanHold | null;
	/** How it is carried elsewhere; null where it is served where it is cooked. */
	readonly carry: PlanCarry | null;
	/** How it is cooled where it is made ahead, and how that stands to the house code; else null. */
	readonly chill: PlanChill | null;
	/** How it is made hot again, where it is made ahead; else null. */
	readonly reheat: PlanReheat | null;
	/** Finished sauce wanted, litres. */
	readonly sauce_l: number;
	/** What becomes of the liquid; null when there is no pan. */
	readonly liquid: PlanLiquid | null;
	readonly sauce: PlanSauce | null;
	/** Salt of the finished sauce, %; null when nothing in it is salt. */
	readonly salt_pct: number | null;
	readonly allergens: readonly AllergenFound[];
}

/** One dish of one sitting, from the order to the plate. */
export interface Plan extends PlanFigures {
	/** All that the dish asks of the kitchen, on the clock, the first to start first. */
	readonly tasks: readonly PlacedTask[];
	/** What is over when the sauce has been taken; null when nothing is. */
	readonly liquor: Liquor | null;
	/** From the lift to the first plate, minutes; from cold to it where it is made ahead. */
	readonly wait_min: number;
	/** Tender when the slowest pans go in as planned, ms since 1970 UTC. */
	readonly tender: Range;
	/** How that comes about, the soonest first. */
	readonly tenderSums: readonly Working[];
	readonly warnings: readonly PlanWarning[];
}

/** The first task of a place, or that part of it; undefined where the dish has none. */
export function taskAt(
	{ tasks }: Pick<Plan, "tasks">,
	place: PlaceKey,
	part?: PlacedTask["part"],
): PlacedTask | undefined {
	return tasks.find((task) => task.place === place && (part === undefined || task.part === part));
}

/** Whether a task is of the last filling of its pans, or of all: earlier ones are held until it is ready. */
export function isOfLastGo({ figures: { go, goes } }: Pick<PlacedTask, "figures">): boolean {
	return go === goes;
}

/** The same of the last filling of the pans, where they are filled more than once. */
export function lastTaskAt(
	{ tasks }: Pick<Plan, "tasks">,
	place: PlaceKey,
	part?: PlacedTask["part"],
): PlacedTask | undefined {
	return taskAt({ tasks: tasks.filter(isOfLastGo) }, place, part);
}

/** When the last filling comes to a place, ms since 1970 UTC; at service where the dish has no such place. */
export function lastStartAt(plan: Pick<Plan, "tasks" | "order">, place: PlaceKey): number {
	return lastTaskAt(plan, place)?.start ?? plan.order.serviceAt;
}

/** When work at a place starts, ms since 1970 UTC; at service where the dish has no such place. */
export function startAt(plan: Pick<Plan, "tasks" | "order">, place: PlaceKey): number {
	return taskAt(plan, place)?.start ?? plan.order.serviceAt;
}
