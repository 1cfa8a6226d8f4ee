import { countByType, type Plan } from "#core/plan";
import type { Recipe } from "#core/recipe";
import { durationWords } from "#core/time";
import { PLACES, type PlaceKey } from "#core/trade";
import { counted, type Reading } from "./reading.ts";

/** One place of the long table: its name, its one figure and its clock. */
export interface PlaceView {
	readonly key: PlaceKey;
	readonly label: string;
	readonly figure: string;
	readonly clock: string;
	/** Instant at which work there starts. */
	readonly at: number;
	/** What is done there, with its figure, as one line of a day's list. */
	readonly task: string;
}

export const PLACE_LABELS: Readonly<Record<PlaceKey, string>> = {
	buy: "Buy",
	trim: "Trim",
	marinate: "Marinate",
	sear: "Sear",
	build: "Build",
	panUp: "Pan up",
	braise: "Braise",
	rest: "Rest",
	sauce: "Sauce",
	plate: "Plate",
};

/** The places a dish needs, from left to right in the order of work. */
export function placesOf(recipe: Recipe, plan: Plan, reading: Reading): PlaceView[] {
	return PLACES.filter((key) => isNeeded(key, recipe, plan)).map((key) => ({
		key,
		label: PLACE_LABELS[key],
		...placeFigure(key, recipe, plan, reading),
	}));
}

function isNeeded(key: PlaceKey, recipe: Recipe, plan: Plan): boolean {
	if (key === "marinate") return recipe.marinate !== undefined;
	if (key === "sear") return recipe.sear !== undefined;
	if (key === "sauce") return plan.sauce_l > 0;
	return true;
}

type Figure = Pick<PlaceView, "figure" | "clock" | "at" | "task">;

function placeFigure(key: PlaceKey, recipe: Recipe, plan: Plan, reading: Reading): Figure {
	const { clock, chain } = plan;
	switch (key) {
		case "buy": {
			const order = reading.mass(chain.order_kg ?? chain.asPurchased_kg);
			const task = `${plan.setBy === "meat" ? "Check in" : "Order"} ${order} of ${mainName(plan)}`;
			return { at: clock.buy, figure: order, clock: reading.clock(clock.buy), task };
		}
		case "trim": {
			const trimmed = reading.mass(chain.trimmed_kg);
			return {
				at: clock.trim,
				figure: trimmed,
				clock: reading.clock(clock.trim),
				task: `Trim to ${trimmed}`,
			};
		}
		case "marinate": {
			const at = clock.marinate ?? clock.sear;
			const litres = reading.volume(marinade_l(plan));
			return { at, figure: litres, clock: reading.clock(at), task: `Into the marinade, ${litres}` };
		}
		case "sear": {
			const { figure, task } = colourWords(plan);
			return { at: clock.sear, figure, clock: reading.clock(clock.sear), task };
		}
		case "build": {
			const litres = reading.volume(plan.pans.liquid_l);
			return {
				at: clock.build,
				figure: litres,
				clock: reading.clock(clock.build),
				task: `Build ${litres} of liquid`,
			};
		}
		case "panUp": {
			const pans = pansWords(plan);
			return { at: clock.panUp, figure: pans, clock: reading.clock(clock.panUp), task: `Pan up, ${pans}` };
		}
		case "braise": {
			const set = reading.temperature(setOf(recipe, plan));
			return {
				at: clock.in,
				figure: set,
				clock: `in ${reading.clock(clock.in)}`,
				task: `Into the oven at ${set}`,
			};
		}
		case "rest": {
			const rest = durationWords(recipe.rest_min);
			return {
				at: clock.rest,
				figure: rest,
				clock: reading.clock(clock.rest),
				task: `Lift and rest ${rest}`,
			};
		}
		case "sauce": {
			const sauce = reading.volume(plan.sauce_l);
			return {
				at: clock.sauce,
				figure: sauce,
				clock: reading.clock(clock.sauce),
				task: `Finish ${sauce} of sauce`,
			};
		}
		case "plate": {
			const plates = counted(chain.portions, "plate");
			return {
				at: clock.plate,
				figure: plates,
				clock: reading.clock(clock.plate),
				task: `Plate ${chain.portions}`,
			};
		}
	}
}

/** "7 loads"; "12 trays" where it is coloured in the oven. */
function colourWords({ colour }: Plan): { figure: string; task: string } {
	const taken = colour?.way === "oven" ? colour.oven : colour?.pan;
	if (!colour || !taken) return { figure: "no pan", task: "Colour the pieces" };
	const figure = "trays" in taken ? counted(taken.trays, "tray") : counted(taken.loads, "load");
	const verb = colour.way === "oven" ? "Colour in the oven" : "Sear";
	return { figure, task: `${verb}, ${figure}, ${durationWords(taken.minutes)}` };
}

/** What the dish is made of: "goat shoulder". */
function mainName(plan: Plan): string {
	return plan.lines.find(({ line }) => line.role === "main")?.ingredient.name ?? "the main";
}

/** "4 × GN 1/1-100 + 1 × GN 1/2-100" */
export function pansWords(plan: Plan): string {
	const kinds = countByType(plan.pans);
	if (kinds.length === 0) return "no pan";
	return kinds.map(({ type, count }) => `${count} × ${type.name}`).join(" + ");
}

/** The temperature the ovens are set to, °C; the card's own when there is no oven. */
export function setOf(recipe: Recipe, plan: Plan): number {
	return plan.ovens.loads[0]?.set_C ?? recipe.braise.oven_C.set;
}

/** Liquid that serves as the marinade: what the card boils down, litres. */
export function marinade_l(plan: Plan): number {
	const lines = plan.lines.filter(({ line }) => line.role === "liquid" && line.reducedTo !== undefined);
	return lines.reduce((sum, line) => sum + (line.measure_ml ?? 0), 0) / 1000;
}
