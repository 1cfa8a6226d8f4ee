import {
	add,
	divide,
	figure,
	lessShare,
	most,
	multiply,
	type Sum,
	subtract,
	type Working,
	wholeDown,
	wholeUp,
	working,
} from "../../workings/index.ts";
import { isByPiece } from "../../yields/index.ts";
import { piecesAPortion } from "../sizeOfBatch.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";

/** Portions that the sitting wants, and what the batch makes where something else sets its size. */
export function portionWorkings(plan: WorkedPlan): Working[] {
	const { order, setBy } = plan;
	const wanted = working(
		"portionsWanted",
		wholeUp(
			multiply(
				figure(order.covers, "count", "covers"),
				figure(order.uptake, "share", "takingIt"),
				...(order.perGuest === undefined ? [] : [figure(order.perGuest, "number", "portionsAGuest")]),
				add(figure(1, "number"), figure(order.spare, "share", "spare")),
			),
		),
		"count",
	);
	return setBy === "covers" ? [wanted] : [wanted, madeWorking(plan)];
}

/** From what there is, walked down to the plate. */
function madeWorking(plan: WorkedPlan): Working {
	const { recipe, chain, pieces, setBy } = plan;
	const { portion, piece } = recipe;
	const key = "portionsMade";
	if (isByPiece(portion)) {
		const whole =
			setBy === "meat"
				? wholeDown(
						divide(
							figure(chain.asPurchased_kg, "kg", "onHand"),
							figure(portion.piece_g / 1000, "kg", "aPiece"),
						),
					)
				: figure(pieces, "count", "piecesInPans");
		return working(
			key,
			wholeDown(divide(whole, figure(portion.piecesPerPortion, "number", "aPortion"))),
			"count",
		);
	}
	const cooked: Sum =
		setBy === "meat"
			? multiply(
					figure(chain.asPurchased_kg, "kg", "onHand"),
					lessShare(recipe.losses.trimLoss, "trim"),
					...kept(plan),
				)
			: multiply(
					figure(pieces, "count", "piecesInPans"),
					figure(piece.weight_g / 1000, "kg", "aPiece"),
					...kept(plan),
				);
	const made = wholeDown(divide(cooked, figure(portion.portion_g / 1000, "kg", "aPortionCooked")));
	return working(key, setBy === "pans" ? most(made, figure(1, "count")) : made, "count");
}

/** What bone and cooking leave of a trimmed weight. */
function kept({ recipe }: WorkedPlan): Sum[] {
	const { boneShare = 0, cookingLoss } = recipe.losses;
	return [...(boneShare > 0 ? [lessShare(boneShare, "bone")] : []), lessShare(cookingLoss, "cookingLoss")];
}

/** From the plate back to the purchase. */
export function purchaseWorkings(plan: WorkedPlan): Working[] {
	const { recipe, chain, setBy } = plan;
	const { portion } = recipe;
	const order = orderWorking(plan);
	if (setBy === "meat") return [trimmedWorking(plan), cookedWorking(plan), ...order];
	if (isByPiece(portion)) {
		const asPurchased = working(
			"asPurchased",
			multiply(piecesSum(plan), figure(portion.piece_g / 1000, "kg", "aPiece")),
			"kg",
		);
		return [asPurchased, ...order];
	}
	const cooked = working(
		"cooked",
		multiply(
			figure(chain.portions, "count", "portions"),
			figure(portion.portion_g / 1000, "kg", "aPortionCooked"),
		),
		"kg",
	);
	const asPurchased = working(
		"asPurchased",
		divide(figure(chain.trimmed_kg, "kg", "trimmed"), lessShare(recipe.losses.trimLoss, "trim")),
	);
	return [cooked, trimmedWorking(plan), asPurchased, ...order];
}

function piecesSum({ recipe, chain }: WorkedPlan): Sum {
	const { portion } = recipe;
	const aPortion = isByPiece(portion) ? portion.piecesPerPortion : 1;
	return wholeUp(
		multiply(figure(chain.portions, "count", "portions"), figure(aPortion, "number", "aPortion")),
	);
}

function orderWorking({ recipe, chain }: WorkedPlan): Working[] {
	if (chain.packs === undefined || recipe.pack_kg === undefined) return [];
	const pack = figure(recipe.pack_kg, "kg", "aPack");
	const packs = wholeUp(divide(figure(chain.asPurchased_kg, "kg", "asPurchased"), pack));
	return [working("order", multiply(packs, pack), "kg")];
}

function cookedWorking(plan: WorkedPlan): Working {
	return working("cooked", multiply(figure(plan.chain.trimmed_kg, "kg", "trimmed"), ...kept(plan)));
}

function trimmedWorking(plan: WorkedPlan): Working {
	const { recipe, chain, setBy } = plan;
	const fromPurchase = isByPiece(recipe.portion) || setBy === "meat";
	const sum = fromPurchase
		? multiply(figure(chain.asPurchased_kg, "kg", "asPurchased"), lessShare(recipe.losses.trimLoss, "trim"))
		: divide(figure(chain.cooked_kg, "kg", "cooked"), multiply(...kept(plan)));
	return working("trimmed", sum);
}

/** What is left after trimming, and the pieces it is cut into. */
export function trimWorkings(plan: WorkedPlan): Working[] {
	const { chain } = plan;
	const trim = working(
		"trimToStock",
		subtract(figure(chain.asPurchased_kg, "kg", "asPurchased"), figure(chain.trimmed_kg, "kg", "trimmed")),
	);
	return [trimmedWorking(plan), trim, ...piecesWorking(plan)];
}

/** Whole pieces of the trimmed weight; never fewer than portions where one piece is a portion. */
export function piecesWorking(plan: WorkedPlan): Working[] {
	const { recipe, chain, setBy, pieces } = plan;
	if (setBy === "pans") return [];
	if (isByPiece(recipe.portion)) {
		return setBy === "meat" ? [] : [working("pieces", piecesSum(plan), "count")];
	}
	const byWeight = wholeUp(
		divide(figure(chain.trimmed_kg, "kg", "trimmed"), figure(recipe.piece.weight_g / 1000, "kg", "aPiece")),
	);
	const aPlate = piecesAPortion(recipe);
	const portions = figure(chain.portions, "count", "portions");
	const whole = aPlate === 1 ? portions : multiply(portions, figure(aPlate, "count", "aPlate"));
	const sum = aPlate > 0 && pieces === chain.portions * aPlate ? most(byWeight, whole) : byWeight;
	return [working("pieces", sum, "count")];
}
