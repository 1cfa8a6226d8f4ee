import type { ChillGiven } from "#core/chill";
import { depthOfFood, isMadeAhead } from "#core/dish";
import type { DocOf, LotPan } from "#core/records";
import { DAY_MS, wallClock } from "#core/time";
import { usualCooling } from "#core/watch";
import { readKind } from "#db";
import { dishOnPaper } from "../papers/dishOnPaper.ts";
import { labelsOf } from "../papers/paperPages.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { reheatWords } from "../ui/words/cautions.ts";

/** Meat and vegetables of older deliveries are not cooked any more. */
const DELIVERED_MS = 21 * DAY_MS;

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
	const used = new Map((plan?.lines ?? []).map(({ ingredient }) => [ingredient.id, ingredient.name]));
	const delivered = await readKind(
		visit.store.db,
		"delivery",
		visit.reading.now - DELIVERED_MS,
		visit.reading.now + DAY_MS,
	);
	const way = plan?.chill?.way ?? null;
	return {
		sittingId,
		dishId,
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
		contents: [...used.values()].join(", "),
		allergens: labelsOf(onPaper).allergens,
		reheat: reheatWords(kitchen.policy.code, reading),
		deliveries: delivered
			.filter(({ doc }) => doc.accepted)
			.map(({ at, doc }) => ({
				delivery: doc.delivery,
				words: `${doc.name}, ${reading.mass(doc.kg)}, ${reading.clock(at)}${doc.supplierLot ? `, their lot ${doc.supplierLot}` : ""}`,
				isUsed: used.has(doc.ingredientId),
			}))
			.sort((a, b) => Number(b.isUsed) - Number(a.isUsed)),
		today: wallClock(visit.reading.now, visit.house.timeZone).date,
	};
}

export type NewLot = Awaited<ReturnType<typeof newLotPage>>;

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
		readonly from: readonly number[];
		readonly isCooled: boolean;
		readonly keeps: DocOf<"lot">["keeps"];
		readonly madeOn: string;
		readonly code: DocOf<"watch">["code"];
	},
): readonly { readonly at: number; readonly doc: DocOf<"lot"> | DocOf<"watch"> }[] {
	const { lot, at, into, place, from, isCooled, keeps, madeOn, code } = made;
	const { dish, sittingId, dishId, sitting, portions, pans, contents, allergens, reheat } = planned;
	const doc: DocOf<"lot"> = {
		...{ kind: "lot", lot, dish, sittingId, dishId, sitting, made: madeOn, portions },
		...{ pans: [...pans], place, reheat, from: [...from], keeps },
		contents,
		allergens,
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
