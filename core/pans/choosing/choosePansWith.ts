import type {
	IntegerProgram,
	IntegerRow,
	IntegerSolver,
	IntegerVariable,
	Terms,
} from "../../integer/index.ts";
import type { PanType } from "../shape/index.ts";
import { asReallyFilled, type ChoosePans, chooseApart, chooseByBids, isWithin } from "./chooseByBids.ts";
import { filledChoice, leastPoured, panInLitres } from "./PanChoice.ts";
import { type Candidate, candidatesFor, type PanLoad } from "./panCandidates.ts";

/**
 * Pans for all dishes of a sitting at once, as an integer programme: fewest pieces left over,
 * then the fewest oven rungs, then the least liquid unless it costs more pans for little, then
 * the fewest pans. Pans that one may not carry or that would be over-full stay on the shelf
 * while others do, what the chef has settled is kept, and the stock is never exceeded.
 *
 * @param solve finds whole numbers to a proven least; where it gives none, the pans are chosen
 *              by bids
 * @see model, section C
 */
export function choosePansWith(solve: IntegerSolver): ChoosePans {
	const together: ChoosePans = (loads, stock, limits) => {
		// Where nobody wants the same pans, what is best for each is best for all.
		const apart = chooseApart(loads, stock, limits);
		if (isWithin(stock, apart)) return apart;
		const asked = loads.map((load, dish) => ({
			load,
			dish,
			candidates: candidatesFor(load, stock, limits).map((candidate, kind) => ({
				...candidate,
				key: `${dish}_${kind}`,
			})),
		}));
		const counts = solveInTurn(asked, stock, solve);
		if (!counts) return chooseByBids(loads, stock, limits);
		return asked.map(({ load, candidates }) =>
			filledChoice(
				candidates.map((candidate) => ({ of: candidate, count: counts.get(`n${candidate.key}`) ?? 0 })),
				load,
				limits,
			),
		);
	};
	return (loads, stock, limits) => asReallyFilled(together, loads, stock, limits);
}

interface Keyed extends Candidate {
	readonly key: string;
}

interface Asked {
	readonly load: PanLoad;
	readonly dish: number;
	readonly candidates: readonly Keyed[];
}

/** In pans with a drawback: a piece without a pan is worse than any wish, a wish than any pan. */
const PIECE_WEIGHT = 1000;
const WISH_WEIGHT = 10;

/** One aim after another, each kept while the next is made least. */
function solveInTurn(
	asked: readonly Asked[],
	stock: readonly PanType[],
	solve: IntegerSolver,
): ReadonlyMap<string, number> | null {
	const program = panProgram(asked, stock);
	const kinds = asked.flatMap(({ candidates }) => candidates);
	if (kinds.length === 0) return new Map();
	const aPan_l = panInLitres(
		asked.reduce((sum, { load, candidates }) => sum + leastPoured(load, candidates), 0),
	);
	const amiss: Terms = [
		...asked.map(({ dish }) => [`s${dish}`, PIECE_WEIGHT] as const),
		...kinds.filter(isWished).map(({ key }) => [`q${key}`, WISH_WEIGHT] as const),
		...kinds
			.filter(({ drawback }) => drawback > 0)
			.map(({ key, drawback }) => [`n${key}`, drawback] as const),
	];
	const rungs: Terms = kinds.map(({ key, high }) => [`l${key}`, high] as const);
	// A pan is weighed as so much of what is poured.
	const liquid: Terms = kinds.map(({ key, below_l }) => [`n${key}`, aPan_l + below_l] as const);
	return inTurn(program, [amiss, rungs, liquid], solve);
}

function inTurn(
	program: Omit<IntegerProgram, "minimise">,
	aims: readonly Terms[],
	solve: IntegerSolver,
): ReadonlyMap<string, number> | null {
	let answer: ReadonlyMap<string, number> | null = null;
	const kept: IntegerRow[] = [];
	for (const minimise of aims) {
		const next = solve({ ...program, rows: [...program.rows, ...kept], minimise });
		if (!next) return answer;
		answer = next;
		kept.push({ terms: minimise, most: amountOf(minimise, next) + 1e-3 });
	}
	return answer;
}

function isWished({ wished }: Candidate): boolean {
	return wished !== undefined;
}

function amountOf(terms: Terms, values: ReadonlyMap<string, number>): number {
	return terms.reduce((sum, [name, times]) => sum + times * (values.get(name) ?? 0), 0);
}

/**
 * n pans and l levels of each kind for each dish, s pieces of a dish without a pan, q pans by
 * which a wish is missed.
 */
function panProgram(asked: readonly Asked[], stock: readonly PanType[]): Omit<IntegerProgram, "minimise"> {
	const variables: IntegerVariable[] = [];
	const rows: IntegerRow[] = [];
	for (const { load, dish, candidates } of asked) {
		variables.push({ name: `s${dish}`, least: 0, most: load.pieces });
		rows.push({
			terms: [[`s${dish}`, 1], ...candidates.map(({ key, capacity }) => [`n${key}`, capacity] as const)],
			least: load.pieces,
		});
		for (const candidate of candidates) addKind(candidate, load, variables, rows);
	}
	for (const { id, stock: there } of stock) {
		const used = asked.flatMap(({ candidates }) => candidates.filter(({ type }) => type.id === id));
		if (used.length > 0) rows.push({ terms: used.map(({ key }) => [`n${key}`, 1] as const), most: there });
	}
	return { variables, rows };
}

function addKind(keyed: Keyed, load: PanLoad, variables: IntegerVariable[], rows: IntegerRow[]): void {
	const { key, share, capacity, type, wished } = keyed;
	const most = Math.min(type.stock, wished ?? Math.ceil(load.pieces / capacity));
	variables.push({ name: `n${key}`, least: 0, most });
	variables.push({ name: `l${key}`, least: 0, most: Math.ceil(type.stock * share) });
	rows.push({
		terms: [
			[`l${key}`, 1],
			[`n${key}`, -share],
		],
		least: -1e-4,
	});
	if (wished === undefined) return;
	variables.push({ name: `q${key}`, least: 0, most: wished });
	rows.push({
		terms: [
			[`n${key}`, 1],
			[`q${key}`, 1],
		],
		least: wished,
	});
}
