import type { WorkedDish } from "#core/day";
import { finishedSauce } from "#core/dish";
import type { Working } from "#core/workings";
import { present, told } from "../sums.ts";

/** The sauce wanted, what is taken for it, its mark, its minutes, its salt, and what would give it body instead. */
export function sauceSums(plan: WorkedDish): Working[] {
	const { recipe, chain, sauce, sauce_l, work, salt_pct } = plan;
	const finished = finishedSauce(recipe, chain);
	if (!sauce || sauce_l === 0) return [finished];
	const { taken, salt, mark, toReduce, boilsAfter, thickeners } = sauce.sums;
	const { pot, pots, goes, drawn, limitedBy } = sauce;
	const inPot = pot ? { pot: pot.name, pots, goes } : null;
	return [
		finished,
		...(sauce.take_l < sauce.wanted_l ? [] : told(taken, { limitedBy: limitedBy ?? "" })),
		...(inPot ? [...told(mark, inPot), ...told(toReduce, inPot)] : []),
		...(inPot && drawn ? [...told(drawn.sum, { minutes: drawn.minutes }), ...present(boilsAfter)] : []),
		...(salt_pct === null ? [] : present(salt)),
		...thickeners,
		work.sauceSum,
	];
}
