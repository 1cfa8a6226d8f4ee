import type { PlacedTask } from "../tasks/index.ts";
import { between, figure, type Working, working } from "../workings/index.ts";
import type { PlanLine } from "./planLines.ts";

/** What lies on the meat before it is cooked. */
export interface Marinade {
	readonly lines: readonly PlanLine[];
	/** Litres of a wet one; none in a rub. */
	readonly litres: number;
	/** Grams of what is not poured. */
	readonly grams: number;
}

/**
 * What goes on the meat: the lines of which the card says so. Where it says so of none, it is the
 * card's wines and acids, boiled down afterwards or not, as long as no line is a rub.
 */
export function marinadeOf({ lines }: { readonly lines: readonly PlanLine[] }): Marinade {
	const said = lines.filter(({ line }) => line.marinade === true);
	const rubbed = lines.some(({ ingredient }) => /\brub\b/i.test(ingredient.name));
	const on = said.length > 0 || rubbed ? said : lines.filter(isUsuallyMarinade);
	return {
		lines: on,
		litres: on.reduce((sum, { measure_ml }) => sum + (measure_ml ?? 0), 0) / 1000,
		grams: on.reduce((sum, { measure_ml, amount_g }) => sum + (measure_ml === null ? (amount_g ?? 0) : 0), 0),
	};
}

function isUsuallyMarinade({ line, ingredient }: PlanLine): boolean {
	if (line.marinade === false || line.role !== "liquid") return false;
	return ingredient.category === "wine" || ingredient.category === "acid";
}

/** How long it really lies in its marinade; null where it lies in none. */
export function inMarinade(tasks: readonly PlacedTask[]): Working | null {
	const into = tasks.find(({ part }) => part === "marinade");
	const out = tasks.find(({ after }) => after.some(({ task }) => task === into?.id));
	if (!into || !out) return null;
	const lies = between(figure(into.end, "instant", "marinadeIn"), figure(out.start, "instant", "drained"));
	return working("inMarinade", lies, "min");
}
