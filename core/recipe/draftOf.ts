import type { Piece } from "../pans/index.ts";
import { formatQuantity, written } from "../quantity/index.ts";
import {
	DISH_FIELDS,
	type DishField,
	type Draft,
	PIECE_FIELDS,
	type PieceFields,
	PREPARATION_FIELDS,
	SECOND_PIECE_FIELDS,
} from "./Draft.ts";
import type { Ingredient } from "./Ingredient.ts";
import { lineText } from "./lineText.ts";
import type { Preparation } from "./Preparation.ts";
import type { Recipe, RecipeLine, RecipeStep } from "./Recipe.ts";
import { seasonWords } from "./season.ts";

/** Whether a version is a preparation rather than a dish. */
export function isPreparation(doc: Recipe | Preparation): doc is Preparation {
	return doc.format === "wide-table/preparation";
}

/** A version as a draft that says exactly the same. */
export function draftOf(doc: Recipe | Preparation, known: ReadonlyMap<string, Ingredient>): Draft {
	return {
		kind: isPreparation(doc) ? "preparation" : "dish",
		fields: isPreparation(doc) ? preparationFields(doc) : dishFields(doc),
		lines: doc.lines.map((line, index) => draftLine(line, index, known)),
		steps: doc.steps.map(draftStep),
		schools: isPreparation(doc) ? {} : (doc.schools ?? {}),
	};
}

function draftLine(
	line: RecipeLine,
	index: number,
	known: ReadonlyMap<string, Ingredient>,
): Draft["lines"][number] {
	return {
		key: `l${index + 1}`,
		text: lineText(line, known),
		group: line.group,
		role: line.role,
		exponent: line.exponent === undefined ? "" : written(line.exponent),
		...(line.school ? { school: line.school } : {}),
	};
}

function draftStep(step: RecipeStep, index: number): Draft["steps"][number] {
	return {
		key: `s${index + 1}`,
		place: step.place,
		text: step.text,
		station: step.station,
		handsOn: written(step.handsOn_min),
		waiting: written(step.waiting_min),
		grows: step.grows,
		temperature: step.temperature_C === undefined ? "" : `${step.temperature_C} °C`,
		tools: step.tools ?? "",
		caution: step.caution ?? "",
		check: step.check ?? "",
		heat: step.heat ?? "",
		when: step.when ?? "",
		...(step.school ? { school: step.school } : {}),
	};
}

const percent = (share: number) => written(Number((share * 100).toPrecision(12)));
const grams = (weight: number) => `${weight} g`;

function preparationFields(doc: Preparation): Record<string, string> {
	return {
		...PREPARATION_FIELDS,
		name: doc.name,
		summary: doc.summary,
		tags: (doc.tags ?? []).join(", "),
		category: doc.category,
		makes: formatQuantity(doc.makes),
		density: doc.density_g_per_ml === undefined ? "" : written(doc.density_g_per_ml),
		gelatin: doc.gelatin_g_per_l === undefined ? "" : written(doc.gelatin_g_per_l),
		holds: doc.holds_min === undefined ? "" : `${doc.holds_min} min`,
		keeps: doc.keeps_days === undefined ? "" : written(doc.keeps_days),
	};
}

function dishFields(doc: Recipe): Record<DishField, string> {
	const { braise, marinate, sear } = doc;
	return {
		...DISH_FIELDS,
		name: doc.name,
		summary: doc.summary,
		tags: (doc.tags ?? []).join(", "),
		cut: doc.cut,
		portions: written(doc.portions),
		...yieldFields(doc),
		...pieceFields(doc.piece, PIECE_FIELDS),
		...secondFields(doc),
		topping: doc.topping === undefined ? "" : written(doc.topping.thickness_mm),
		gap: written(doc.gap_mm),
		layers: String(doc.layers ?? 1),
		...(marinate
			? {
					marinated: "yes",
					marinateFor: `${marinate.minutes} min`,
					marinateMost: `${marinate.longest_min} min`,
					container: marinate.container,
				}
			: { marinated: "" }),
		...(sear
			? {
					seared: "yes",
					sides: written(sear.sides),
					minutesPerSide: written(sear.minutesPerSide),
					recovery: written(sear.recovery_min),
					searGap: written(sear.gap_mm),
					searIn: sear.inPot ? "yes" : "",
				}
			: { seared: "" }),
		...braiseFields(braise),
		rest: written(doc.rest_min),
		sauce: `${doc.sauce_ml} ml`,
		servedIn: doc.servedIn ?? "plates",
		...servingFields(doc),
		reducedBy: doc.finish === undefined ? "" : percent(doc.finish.reduceBy),
		season: doc.season === undefined ? "" : seasonWords(doc.season),
		origin: doc.origin ?? "",
		drinks: doc.drinks ?? "",
		variantOf: doc.variantOf === undefined ? "" : `${doc.variantOf.recipe} ${doc.variantOf.number}`,
	};
}

/** Portion, losses, and how it is bought. */
function yieldFields(doc: Recipe): Partial<Record<DishField, string>> {
	const { portion, losses } = doc;
	return {
		...("portion_g" in portion
			? { portionBy: "weight", portion: grams(portion.portion_g) }
			: {
					portionBy: "piece",
					piecesPerPortion: written(portion.piecesPerPortion),
					bought: grams(portion.piece_g),
				}),
		trimLoss: percent(losses.trimLoss),
		boneShare: losses.boneShare === undefined ? "" : percent(losses.boneShare),
		cookingLoss: percent(losses.cookingLoss),
		pack: doc.pack_kg === undefined ? "" : `${doc.pack_kg} kg`,
		...(doc.rack ? { rackBones: written(doc.rack.bones), pieceBones: written(doc.rack.perPiece) } : {}),
		orderLead: written(doc.orderLead_days),
	};
}

function braiseFields(braise: Recipe["braise"]): Partial<Record<DishField, string>> {
	return {
		...lineFields(braise.line),
		lid: braise.lid,
		heat: braise.heat ?? "oven",
		...(braise.hotStart
			? { hotAt: written(braise.hotStart.set_C), hotFor: `${braise.hotStart.minutes} min` }
			: {}),
		uncovered: braise.uncovered_min === undefined ? "" : `${braise.uncovered_min} min`,
		ovenLow: written(braise.oven_C.low),
		ovenSet: written(braise.oven_C.set),
		ovenHigh: written(braise.oven_C.high),
	};
}

function servingFields({ serving = {} }: Recipe): Partial<Record<DishField, string>> {
	const { platterFor, order = [], people, pulled } = serving;
	return {
		platterFor: platterFor === undefined ? "" : written(platterFor),
		platedAs: order.join(", "),
		linePeople: people === undefined ? "" : written(people),
		...(pulled ? { pulledLoss: percent(pulled.loss), pulledPortion: grams(pulled.portion_g) } : {}),
	};
}

function secondFields({ second }: Recipe): Partial<Record<DishField, string>> {
	if (!second) return {};
	const { cut, losses, piece } = second;
	return {
		second: "yes",
		secondCut: cut,
		secondTrim: percent(losses.trimLoss),
		secondBone: losses.boneShare === undefined ? "" : percent(losses.boneShare),
		secondLoss: percent(losses.cookingLoss),
		...pieceFields(piece, SECOND_PIECE_FIELDS),
	};
}

function pieceFields(piece: Piece, names: PieceFields): Partial<Record<DishField, string>> {
	const stands = piece.shape === "cylinder" && piece.standing === true;
	const weight = {
		[names.shape]: stands ? "standing" : piece.shape,
		[names.weight]: grams(piece.weight_g),
	};
	if (piece.shape === "block") {
		return {
			...weight,
			[names.length]: written(piece.length_mm),
			[names.width]: written(piece.width_mm),
			[names.height]: written(piece.height_mm),
		};
	}
	const round = { ...weight, [names.diameter]: written(piece.diameter_mm) };
	return piece.shape === "ball" ? round : { ...round, [names.length]: written(piece.length_mm) };
}

function lineFields(line: Recipe["braise"]["line"]): Partial<Record<DishField, string>> {
	if ("share" in line) return { lineBy: "share", lineAt: percent(line.share) };
	return "over_mm" in line
		? { lineBy: "over", lineAt: written(line.over_mm) }
		: { lineBy: "below", lineAt: written(line.below_mm) };
}
