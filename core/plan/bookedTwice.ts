import type { Kitchen } from "../kitchen/index.ts";
import { saucePotsOf } from "../kitchen/index.ts";
import type { Need, PlacedTask } from "../tasks/index.ts";

/** Something that more than there is of is wanted at one time. */
export interface BookedTwice {
	readonly kind: "cooks" | "burners" | "pot" | "searPan";
	/** Name of the pot or searing pan; null for what has none. */
	readonly name: string | null;
	/** The most that is wanted at one time, and what there is. */
	readonly wanted: number;
	readonly there: number;
	/** From when to when, ms since 1970 UTC. */
	readonly from: number;
	readonly to: number;
	/** What wants it then, by name. */
	readonly by: readonly string[];
}

/** Tasks of one dish or preparation. */
export interface NamedTasks {
	readonly name: string;
	readonly tasks: readonly PlacedTask[];
}

interface Claim {
	readonly kind: BookedTwice["kind"];
	readonly typeId: string | null;
	readonly count: number;
	readonly start: number;
	readonly end: number;
	readonly name: string;
}

/** Cooks are counted in tenths: a tenth more than there are is one too many. */
const A_TENTH = 0.1;

/**
 * What the dishes and preparations of a sitting want at the same time and the kitchen has not: each
 * is planned as if it had the kitchen's hands and hob to itself. One entry for each time and thing,
 * the first to come first.
 *
 * @param hands cooks of the sitting
 */
export function bookedTwice(
	named: readonly NamedTasks[],
	{ equipment }: Kitchen,
	hands: number,
): BookedTwice[] {
	const claims = named.flatMap(claimsOf);
	const things = new Map(claims.map((claim) => [`${claim.kind} ${claim.typeId ?? ""}`, claim]));
	const vessels = new Map(saucePotsOf(equipment).map((vessel) => [vessel.id, vessel]));
	return [...things.values()]
		.flatMap(({ kind, typeId }) => {
			const vessel = typeId === null ? undefined : vessels.get(typeId);
			const there = kind === "cooks" ? hands : kind === "burners" ? equipment.burners : (vessel?.stock ?? 0);
			const wanting = claims.filter((claim) => claim.kind === kind && claim.typeId === typeId);
			return clashesOf(wanting, there).map((clash) => ({
				kind,
				name: vessel?.name ?? null,
				there,
				...clash,
			}));
		})
		.sort((a, b) => a.from - b.from || a.kind.localeCompare(b.kind));
}

function claimsOf({ name, tasks }: NamedTasks): Claim[] {
	return tasks.flatMap((task) =>
		task.needs.flatMap((need): Claim[] => {
			const count = countOf(need, task);
			if (count === 0 || task.end <= task.start) return [];
			const kind = need.kind as BookedTwice["kind"];
			return [
				{
					kind,
					typeId: "typeId" in need ? need.typeId : null,
					count,
					start: task.start,
					end: task.end,
					name,
				},
			];
		}),
	);
}

/** How many of a thing a task has in hand on the average of its time. */
function countOf(need: Need, { minutes }: PlacedTask): number {
	switch (need.kind) {
		case "cooks":
			return minutes.planned === 0 ? 0 : Math.min(1, minutes.handsOn.likely / minutes.planned) * need.count;
		case "burners":
		case "pot":
		case "searPan":
			return need.count;
		default:
			return 0;
	}
}

/** The times at which more is wanted than there is, by a sweep over the claims. */
function clashesOf(
	claims: readonly Claim[],
	there: number,
): Pick<BookedTwice, "wanted" | "from" | "to" | "by">[] {
	const moments = claims
		.flatMap((claim) => [
			{ at: claim.start, claim, enters: true },
			{ at: claim.end, claim, enters: false },
		])
		.sort((a, b) => a.at - b.at || Number(a.enters) - Number(b.enters));
	const found: { wanted: number; from: number; to: number; by: Set<string> }[] = [];
	const now = new Set<Claim>();
	let wanted = 0;
	let open: (typeof found)[number] | null = null;
	for (const { at, claim, enters } of moments) {
		wanted += enters ? claim.count : -claim.count;
		if (enters) now.add(claim);
		else now.delete(claim);
		if (wanted > there + A_TENTH && now.size > 1) {
			open ??= { wanted, from: at, to: at, by: new Set() };
			open.wanted = Math.max(open.wanted, wanted);
			for (const { name } of now) open.by.add(name);
		} else if (open) {
			if (at > open.from && open.by.size > 1) found.push({ ...open, to: at });
			open = null;
		}
	}
	return found.map(({ by, ...clash }) => ({
		...clash,
		wanted: Math.ceil(clash.wanted - A_TENTH),
		by: [...by],
	}));
}
