import type { ChillGiven } from "#core/chill";
import { depthOfFood, isMadeAhead } from "#core/dish";
import { type DocOf, insideOf, type LotPan } from "#core/records";
import { wallClock } from "#core/time";
import { usualCooling } from "#core/watch";
import { codeIn, readHouseCodes } from "#db";
import { dishOnPaper } from "../papers/dishOnPaper.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { reheatWords } from "../ui/words/cautions.ts";
import { type SourcesTyped, sourcesFor } from "./lotSources.ts";

/** How a lot is cooled by itself: what stands beside it then, its readings tell. */
function coolingAlone({ beside: _, ...given }: ChillGiven): ChillGiven {
	return given;
}

/** What a lot of a dish would be: as it was planned. */
export async function newLotPage(
	visit: HouseVisit,
	{ sittingId, dishId }: { readonly sittingId: string; readonly dishId: string },
) {
	const onPaper = await dishOnPaper(visit, { sittingId, dishId });
	const { row, sitting, kitchen, reading, tag } = onPaper;
	const { plan, dish } = row;
	const letter = tag ?? "A";
	const lines = plan?.lines ?? [];
	const ingredients = lines.map(({ ingredient }) => ingredient);
	const way = plan?.chill?.way ?? null;
	return {
		...{ sittingId, dishId, letter },
		sitting: sitting.name,
		dish: dish.recipe.name,
		refused: plan ? null : (row.refused ?? ""),
		portions: Math.max(1, plan?.chain.portions ?? 1),
		pans: (plan?.pans.pans ?? []).map(
			(pan, index): LotPan => ({
				tag: `${letter}${index + 1}`,
				vessel: pan.type.name,
				depth_mm: way?.depth_mm ?? Math.max(5, Math.round(depthOfFood(pan))),
				kg: pan.contents_kg,
			}),
		),
		place: way?.cooler.name ?? "",
		cooling: way ? coolingAlone(way.given) : null,
		code: kitchen.policy.code,
		isMadeAhead: plan ? isMadeAhead(plan.recipe) : false,
		inside: insideOf(ingredients, kitchen.known.preparations, kitchen.policy.allergenList),
		reheat: reheatWords(kitchen.policy.code, reading),
		sources: await sourcesFor(visit, new Set(ingredients.map(({ id }) => id)), { from: [], fromLots: [] }),
		today: wallClock(visit.reading.now, visit.house.timeZone).date,
	};
}

/** A lot that nobody planned: all of it is written down, and what it declares is not known until it is named. */
export async function unplannedLotPage(visit: HouseVisit): Promise<NewLot> {
	const { store, house, reading } = visit;
	const code = codeIn(await readHouseCodes(store.db), house.houseCode);
	return {
		...{ sittingId: "", dishId: "", letter: "X", sitting: "", dish: "", refused: null, portions: 1 },
		...{ pans: [], place: "", cooling: null, code, isMadeAhead: true },
		inside: { contents: "", allergens: "", declares: null, ingredients: [] },
		reheat: reheatWords(code, reading),
		sources: await sourcesFor(visit, new Set(), { from: [], fromLots: [] }),
		today: wallClock(reading.now, house.timeZone).date,
	};
}

type PlannedLot = Awaited<ReturnType<typeof newLotPage>>;

export type NewLot = Omit<PlannedLot, "inside"> & {
	readonly inside: Required<Pick<DocOf<"lot">, "contents" | "allergens" | "ingredients">> & {
		readonly declares: NonNullable<DocOf<"lot">["declares"]> | null;
	};
};

/** The entries of a lot that was made and is cooled: itself, and a watch for each of its pans. */
export function entriesOfLot(
	planned: NewLot,
	made: {
		readonly lot: number;
		readonly watch: number;
		/** When it was lifted, and when it went into the cold. */
		readonly at: number;
		readonly into: number;
		readonly place: string;
		readonly sources: SourcesTyped;
		readonly pans: readonly LotPan[];
		readonly portions: number;
		readonly isCooled: boolean;
		readonly keeps: DocOf<"lot">["keeps"];
		readonly madeOn: string;
		readonly code: DocOf<"watch">["code"];
	},
): readonly { readonly at: number; readonly doc: DocOf<"lot"> | DocOf<"watch"> }[] {
	const { lot, at, into, place, sources, isCooled, keeps, madeOn, code, pans, portions } = made;
	const { dish, sittingId, dishId, sitting, inside, reheat } = planned;
	const doc: DocOf<"lot"> = {
		...{ kind: "lot", lot, dish, sittingId, dishId, sitting, made: madeOn, portions },
		...{ ...inside, pans: [...pans], place, reheat, keeps },
		...sourcesWritten(sources),
	};
	if (!isCooled) return [{ at, doc }];
	const watches = pans.map(({ tag, depth_mm }, index) => ({
		at: into,
		doc: {
			...{ kind: "watch" as const, watch: made.watch + index, lot, tag, course: "cool" as const },
			...{ probe: null, code, clockFrom: at, continues: null },
			cooling: planned.cooling ? { ...planned.cooling, depth_mm } : usualCooling(depth_mm),
		},
	}));
	return [{ at, doc }, ...watches];
}

/** What it was made from, as it is written. */
export function sourcesWritten({
	from,
	fromLots,
	cookedThrough,
	notAfter,
}: SourcesTyped): Pick<DocOf<"lot">, "from" | "fromLots" | "cookedThrough" | "notAfter"> {
	return {
		...{ from: [...from], notAfter },
		...(fromLots.length > 0 ? { fromLots: [...fromLots] } : {}),
		...(fromLots.length > 0 && cookedThrough ? { cookedThrough } : {}),
	};
}
