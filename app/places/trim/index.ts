import { startAt } from "#core/dish";
import { durationWords } from "#core/time";
import { pieceDrawing } from "../../ui/drawings/pieceDrawing.ts";
import { counted } from "../../ui/words/reading.ts";
import type { Place } from "../Place.ts";
import { present, workAt } from "../sums.ts";
import { pieceWeightWords, pieceWords } from "../words.ts";

export const trim: Place = {
	key: "trim",
	figure: ({ plan, reading }) => reading.mass(plan.chain.trimmed_kg),
	task: (_, { plan, reading }) => `Trim to ${reading.mass(plan.chain.trimmed_kg)}`,
	headline: ({ plan, reading }) => ({
		title: `${reading.mass(plan.chain.trimmed_kg)} trimmed, ${plan.pieces} pieces`,
		says: `${pieceWeightWords(plan.recipe, reading)} each; ${pieceWords(plan.recipe, reading)}. Start by ${reading.clock(startAt(plan, "trim"))}.`,
		facts: [
			{
				figure: reading.mass(plan.sums.trim.result.value),
				label: "trim, to stock",
				shown: { what: "trim", of: plan.order.id, value: plan.sums.trim.result.value },
			},
			...(plan.second && plan.recipe.second
				? [
						{
							figure: `${reading.mass(plan.second.trimmed_kg)}, ${counted(plan.second.pieces, "piece")}`,
							label: `of ${plan.second.ingredient.name}, ${pieceWeightWords(plan.recipe.second, reading)}`,
						},
					]
				: []),
			{
				figure: durationWords(plan.work.places.trim.wall_min),
				label: `for ${counted(plan.order.hands, "cook")}`,
			},
		],
	}),
	sums: ({ plan }) => [
		plan.sums.trimmed,
		plan.sums.trim,
		...present(plan.sums.pieces),
		...workAt(plan, "trim"),
	],
	takes: ({ line }) => line.role === "main" || line.role === "second",
	drawing: ({ plan: { recipe }, reading }) =>
		[recipe.piece, ...(recipe.second ? [recipe.second.piece] : [])].map((piece) =>
			pieceDrawing(piece, reading),
		),
};
