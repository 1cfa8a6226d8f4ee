import { cutOf, heatOf, sizesFor, vegetableMinutes } from "../recipe/index.ts";
import type { Plan } from "./Plan.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { joinsLate, liesUnderMeat } from "./panLines.ts";
import type { PlanLine } from "./planLines.ts";
import { vegetablesAfter } from "./planLiquid.ts";

/** A tenth more or less is not seen on a plate. */
const A_LITTLE = 1.1;

/** Vegetables that are served out of the pan, cut so that their minutes do not suit them. */
export function cutWarnings({
	recipe,
	lines,
	braise_min,
}: Pick<Plan, "recipe" | "lines" | "braise_min">): PlanWarning[] {
	const heat = heatOf(recipe);
	// A simmer is what the minutes are known for.
	if (heat !== "oven" && heat !== "hob") return [];
	return lines.flatMap((line) => {
		const minutes = servedAfter(line, vegetablesAfter(recipe) === "kept", braise_min.likely);
		return minutes === null ? [] : cutWarning(line, minutes);
	});
}

/** Minutes in the liquid of what is served out of it; null for what is strained out, puréed or cooked apart. */
function servedAfter(line: PlanLine, isKept: boolean, braise_min: number): number | null {
	if (joinsLate(line)) return line.line.late_min ?? 0;
	return isKept && liesUnderMeat(line) ? braise_min : null;
}

function cutWarning({ line, ingredient: { name } }: PlanLine, minutes: number): PlanWarning[] {
	const cut = cutOf(line);
	const takes = cut && vegetableMinutes(name, cut);
	if (!takes) return [];
	const isLarge = takes.tender > minutes * A_LITTLE;
	if (!isLarge && minutes <= takes.fallsApart * A_LITTLE) return [];
	return [
		{
			code: isLarge ? "cutTooLarge" : "cutTooSmall",
			place: "braise",
			name,
			cut,
			minutes,
			wants_min: isLarge ? takes.tender : takes.fallsApart,
			suits_mm: sizesFor(name, cut.form, minutes),
		},
	];
}
