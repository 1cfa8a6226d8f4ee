import type { Beliefs } from "../beliefs/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import type { PanChoice } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { MinutesIn } from "../tasks/index.ts";
import type { DishOrder } from "./DishOrder.ts";
import type { PlanWork } from "./dishWork.ts";
import type { PlanBraise } from "./planBraise.ts";
import type { PlanCarry } from "./planCarry.ts";
import type { PlanChill } from "./planChill.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanLine } from "./planLines.ts";
import type { PlanReheat } from "./planReheat.ts";
import type { PlanSauce } from "./planSauce.ts";
import type { PlanServing } from "./serving.ts";
import type { Standing } from "./standing.ts";

/** What a dish has been worked out to need, before it stands on the clock. */
export interface WorkedOut {
	readonly recipe: Recipe;
	readonly order: DishOrder;
	readonly kitchen: Kitchen;
	readonly beliefs: Beliefs;
	readonly factor: number;
	readonly portions: number;
	readonly serving: PlanServing;
	readonly pans: PanChoice;
	readonly lines: readonly PlanLine[];
	readonly colour: PlanColour | null;
	readonly braise: PlanBraise | null;
	/** Where there is no pan: from the oven door to tender, and what is given to it. */
	readonly braise_min: Range;
	readonly allowed_min: number;
	readonly carry: PlanCarry | null;
	readonly chill: PlanChill | null;
	readonly reheat: PlanReheat | null;
	readonly sauce: PlanSauce | null;
	readonly sauce_l: number;
	/** Where it stands, as far as it was placed: what is in it stays there. */
	readonly standing: Standing;
	/** Minutes of a group of pans at each temperature that suits it. */
	readonly minutesOf: (group: string) => readonly MinutesIn[];
	readonly work: PlanWork;
	/** What the meat is held for on purpose after it is tender; nothing where it is not. */
	readonly hold_min: number;
}
