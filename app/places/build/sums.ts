import { countBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { add, figure, multiply, type Sum, type Working, working } from "#core/workings";
import { present, told } from "../sums.ts";

/** What is poured, line by line, and what becomes of it until the meat is lifted. */
export function liquidSums(plan: WorkedDish): Working[] {
	const { pans, lines, pour, liquid, sauce, recipe, braise_min } = plan;
	if (pans.pans.length === 0) return [];
	const liquids = lines.filter(({ line }) => line.role === "liquid" && line.late_min === undefined);
	const asked = pour && sauce ? [pour.sums.asked, pour.sums.forSauce] : [];
	const { decidedBy = "", poured_l = 0 } = pour ?? {};
	return [
		...asked,
		...told(sauce ? (pour?.sums.toPour ?? null) : null, { decidedBy, poured_l }),
		working("poured", inPans(pans.pans.map(({ liquid_l }) => liquid_l)), "l"),
		...liquids.flatMap(({ sum }) => present(sum)),
		...(liquid
			? [
					...present(liquid.waterSum),
					liquid.juice.sum,
					working("steamedAway", figure(liquid.evaporated_l, "l", "steam"), "l", {
						lid: recipe.braise.lid,
						minutes: braise_min.likely,
					}),
					...present(liquid.sums.left, liquid.sums.toTheSauce, liquid.salt.sum),
					...(liquid.salt.sum ? [liquid.sums.saltWhenLifted] : []),
				]
			: []),
	];
}

/** What packing gives each pan, equal litres together: "4 × 2.31 l + 2 × 1.9 l". */
function inPans(litres: readonly number[]): Sum {
	const counts = Object.entries(countBy(litres, String));
	const terms = counts.map(
		([value, count]): Sum =>
			count === 1 && counts.length > 1
				? figure(Number(value), "l")
				: multiply(figure(count, "count", "pans"), figure(Number(value), "l")),
	);
	return terms.length > 1 ? add(...terms) : (terms[0] ?? figure(0, "l"));
}
