import { sumBy } from "es-toolkit";
import { areaOf, depthOf, insideAt } from "../pans/index.ts";
import type { Plan } from "./Plan.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { VEGETABLE_KG_PER_L } from "./panLines.ts";
import { weightOf } from "./planLiquid.ts";

/** Slices laid like tiles leave so little air between them, a share of their bulk. General practice. */
const TILED_FILL = 0.9;
/** A topping may be so much thinner or thicker than its card says before somebody has to know, a share. */
const NEAR = 0.35;

/** A second main that is slower than the first, and a topping that does not cover the pans, or stands too high. */
export function mainWarnings(
	planned: Pick<Plan, "second" | "recipe" | "lines" | "pans" | "allowed_min">,
): PlanWarning[] {
	const { second, allowed_min } = planned;
	const slower: PlanWarning[] = second?.slower
		? [{ code: "secondSlower", place: "braise", name: second.ingredient.name, minutes: allowed_min }]
		: [];
	return [...slower, ...toppingWarnings(planned)];
}

function toppingWarnings({
	recipe: { topping },
	lines,
	pans,
}: Pick<Plan, "recipe" | "lines" | "pans">): PlanWarning[] {
	const floors_m2 = sumBy(pans.pans, ({ type: { shape } }) => areaOf(insideAt(shape, depthOf(shape)))) / 1e6;
	if (!topping || floors_m2 === 0) return [];
	const { thickness_mm } = topping;
	const there_kg = weightOf(lines.filter(({ line }) => line.role === "topping")) / 1000;
	const wanted_kg = floors_m2 * thickness_mm * TILED_FILL * VEGETABLE_KG_PER_L;
	if (Math.abs(there_kg / wanted_kg - 1) <= NEAR) return [];
	const lies_mm = (thickness_mm * there_kg) / wanted_kg;
	return [{ code: "toppingThickness", place: "panUp", lies_mm, thickness_mm, there_kg, wanted_kg }];
}
