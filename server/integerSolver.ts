import loadHighs from "highs";
import { LRUCache } from "lru-cache";
import { asLpText, type IntegerSolver } from "#core/integer";

const highs = await loadHighs();

/**
 * Most branches that one program may open, and most steps of the simplex method in each; then the
 * pans are chosen by bids. Counted, not timed: the same sitting is planned the same on any machine.
 */
const MOST_NODES = 1000;
const MOST_STEPS = 200_000;
/** Answers that are kept, since the same sitting is planned for every page that shows it. */
const MOST_KEPT = 500;

const known = new LRUCache<string, { readonly values: ReturnType<IntegerSolver> }>({ max: MOST_KEPT });

/** HiGHS, to the proven least: no gap is left to the bound. */
export const integerSolver: IntegerSolver = (program) => {
	const text = asLpText(program);
	const found = known.get(text);
	if (found) return found.values;
	const answer = highs.solve(text, {
		mip_rel_gap: 0,
		mip_max_nodes: MOST_NODES,
		simplex_iteration_limit: MOST_STEPS,
		output_flag: false,
	});
	const values = answer.Status === "Optimal" ? valuesOf(answer.Columns) : null;
	known.set(text, { values });
	return values;
};

function valuesOf(columns: Readonly<Record<string, { readonly Primal: number }>>): Map<string, number> {
	return new Map(Object.entries(columns).map(([name, { Primal }]) => [name, Math.round(Primal)]));
}
