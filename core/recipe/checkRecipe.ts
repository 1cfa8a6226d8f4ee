import { checked, type Problem, Refusal } from "../check/index.ts";
import { MEAT_KG_PER_L, type Piece, pieceVolume } from "../pans/index.ts";
import { UNITS } from "../quantity/index.ts";
import { HEAT_RANGES, HEATS } from "../trade/index.ts";
import type { Ingredient } from "./Ingredient.ts";
import { Preparation } from "./Preparation.ts";
import { Recipe, type RecipeLine } from "./Recipe.ts";
import { broughtUp } from "./readDoc.ts";
import { gramsOrNull, isCounted } from "./weighLine.ts";

/**
 * A recipe from outside: its shape, and what no schema can say of it.
 *
 * @param ingredients what the book knows, by slug
 * @throws {Refusal} with one problem a field
 */
export function checkRecipe(given: unknown, ingredients: ReadonlyMap<string, Ingredient>): Recipe {
	const recipe = checked(Recipe, broughtUp(given));
	const problems = [
		...lineProblems(recipe, ingredients),
		...wholeProblems(recipe),
		...weightProblems(recipe.piece),
	];
	if (problems.length > 0) throw new Refusal(problems);
	return recipe;
}

/**
 * A preparation from outside: its shape, and what no schema can say of it.
 *
 * @param ingredients what the book knows, by slug
 * @throws {Refusal} with one problem a field
 */
export function checkPreparation(given: unknown, ingredients: ReadonlyMap<string, Ingredient>): Preparation {
	const preparation = checked(Preparation, broughtUp(given));
	const problems = lineProblems(preparation, ingredients);
	if (problems.length > 0) throw new Refusal(problems);
	return preparation;
}

/**
 * What of a stored dish the limits of today do not allow; nothing when it holds. Whether a piece can
 * weigh what is said is asked when it is written, and costs a plan nothing.
 */
export function outsideLimits(recipe: Recipe): readonly Problem[] {
	const known = judged.get(recipe);
	if (known) return known;
	const problems = limitProblems(recipe);
	judged.set(recipe, problems);
	return problems;
}

/** A document is read once and planned often. */
const judged = new WeakMap<Recipe, readonly Problem[]>();

function limitProblems(recipe: Recipe): readonly Problem[] {
	try {
		return wholeProblems(checked(Recipe, recipe));
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return error.problems;
	}
}

function lineProblems(
	recipe: Pick<Recipe, "lines">,
	ingredients: ReadonlyMap<string, Ingredient>,
): Problem[] {
	return recipe.lines.flatMap((line, index) => {
		const field = `lines[${index}]`;
		const known = ingredients.get(line.ingredient);
		if (!known) {
			return [
				{
					field: `${field}.ingredient`,
					message: `“${line.ingredient}” is not in the book; add the ingredient first`,
				},
			];
		}
		const instead = insteadProblem(line, ingredients);
		if (instead) return [{ field: `${field}.substitutes`, message: instead }];
		const { dimension } = UNITS[line.unit];
		if (dimension === "volume" && !known.density_g_per_ml) {
			return [{ field: `${field}.unit`, message: `${known.name} has no density; a weight is allowed` }];
		}
		if (dimension === "length" || dimension === "temperature") {
			return [
				{
					field: `${field}.unit`,
					message: `a ${dimension} was given; a weight, a volume or a count is allowed`,
				},
			];
		}
		if (dimension === "count" && !isCounted(line) && !known.each_g) {
			return [{ field: `${field}.unit`, message: `${known.name} has no weight of one; a weight is allowed` }];
		}
		return [];
	});
}

/** What cannot stand in place of a line; undefined where all of it can. */
function insteadProblem(
	{ role, substitutes = [] }: RecipeLine,
	ingredients: ReadonlyMap<string, Ingredient>,
): string | undefined {
	if (substitutes.length > 0 && (role === "main" || role === "second")) {
		return "another meat makes another dish; write a variant of the card";
	}
	const unknown = substitutes.find(({ ingredient }) => !ingredients.has(ingredient));
	if (unknown) return `“${unknown.ingredient}” is not in the book; add the ingredient first`;
	const unweighed = substitutes.find((instead) => {
		const known = ingredients.get(instead.ingredient);
		return known !== undefined && gramsOrNull(instead, known) === null;
	});
	if (!unweighed) return undefined;
	const name = ingredients.get(unweighed.ingredient)?.name;
	return `${name} cannot be weighed in ${unweighed.unit}; a weight is allowed`;
}

function wholeProblems(recipe: Recipe): Problem[] {
	const problems: Problem[] = [];
	const mains = recipe.lines.filter((line) => line.role === "main").length;
	if (mains !== 1) {
		const message =
			mains === 0
				? "which one is the main? Give a line the role “main”"
				: `which one is the main? ${mains} lines are; a second one has the role “second main”`;
		problems.push({ field: "lines", message });
	}
	const { low, set, high } = recipe.braise.oven_C;
	if (!(low <= set && set <= high)) {
		problems.push({
			field: "braise.oven_C",
			message: `${low}, ${set}, ${high} were given; low ≤ set ≤ high is allowed`,
		});
	}
	problems.push(
		...heatProblems(recipe),
		...secondProblems(recipe),
		...pulledProblems(recipe),
		...rackProblems(recipe),
	);
	if (recipe.marinate && recipe.marinate.longest_min < recipe.marinate.minutes) {
		problems.push({
			field: "marinate.longest_min",
			message: "is shorter than the marinade itself; the same or longer is allowed",
		});
	}
	return problems;
}

/** A second main and a topping stand on the card with their lines, or not at all. */
function secondProblems({ lines, second, topping }: Recipe): Problem[] {
	const seconds = lines.filter(({ role }) => role === "second").length;
	const slices = lines.filter(({ role }) => role === "topping").length;
	const problems: Problem[] = [];
	if (second && seconds !== 1) {
		problems.push({
			field: "second",
			message: `${seconds} lines of a second main were given; exactly one is allowed`,
		});
	}
	if (!second && seconds > 0) {
		problems.push({
			field: "second",
			message: "a line is the second main; say its cut, its piece and what it loses",
		});
	}
	if (topping && slices === 0) {
		problems.push({ field: "topping", message: "no line is the topping; give one the role “topping”" });
	}
	if (!topping && slices > 0) {
		problems.push({
			field: "topping",
			message: "is missing; a line is the topping: how thick it lies is needed",
		});
	}
	return problems;
}

/** A piece of a rack weighs what its bones are of the whole rack, to a tenth. */
const RACK_NEAR = 0.1;

/** A rack is a pack, and its pieces are what it is cut into. */
function rackProblems({ rack, portion, pack_kg }: Recipe): Problem[] {
	if (!rack) return [];
	if (pack_kg === undefined) {
		return [{ field: "pack_kg", message: "is missing; what one rack weighs is needed" }];
	}
	if (!("piece_g" in portion)) {
		return [
			{ field: "rack", message: "a rack is portioned by the piece; choose that, or leave the bones out" },
		];
	}
	const piece_g = (pack_kg * 1000 * rack.perPiece) / rack.bones;
	if (Math.abs(portion.piece_g / piece_g - 1) <= RACK_NEAR) return [];
	return [
		{
			field: "portion.piece_g",
			message: `${rack.perPiece} of ${rack.bones} bones of a rack of ${pack_kg} kg weigh about ${Math.round(piece_g)} g; ${portion.piece_g} g was given`,
		},
	];
}

/** What is pulled leaves as much as the other dish takes, to a hundredth. */
function pulledProblems({ servedIn, serving, portion }: Recipe): Problem[] {
	if (servedIn !== "pulled") return [];
	if (!serving?.pulled) {
		return [
			{
				field: "serving.pulled",
				message: "is missing; what is lost again and what a portion takes are needed",
			},
		];
	}
	const { loss, portion_g } = serving.pulled;
	const cooked_g = portion_g / (1 - loss);
	if ("portion_g" in portion && Math.abs(portion.portion_g / cooked_g - 1) < 0.01) return [];
	return [
		{
			field: "serving.pulled.portion_g",
			message: `${portion_g} g after ${Math.round(loss * 100)} % is lost asks for a cooked portion of ${Math.round(cooked_g)} g; another was given`,
		},
	];
}

/** A piece of a size may weigh so many times less, hollow or with air between, or more than solid meat. */
const LIGHTEST = 0.25;
const HEAVIEST = 2.5;

/** Sides and weight that cannot both be true. */
function weightProblems(piece: Piece): Problem[] {
	const solid_g = pieceVolume(piece) * MEAT_KG_PER_L * 1000;
	if (piece.weight_g >= solid_g * LIGHTEST && piece.weight_g <= solid_g * HEAVIEST) return [];
	const rounded = (grams: number) => Number(grams.toPrecision(2));
	return [
		{
			field: "piece.weight_g",
			message: `${piece.weight_g} g was given for a piece of about ${rounded(solid_g)} g by its sides; from ${rounded(solid_g * LIGHTEST)} to ${rounded(solid_g * HEAVIEST)} g is allowed, or other sides`,
		},
	];
}

/** A heat set to what it cannot be, and a hot start that is none. */
function heatProblems({ braise }: Recipe): Problem[] {
	const { heat = "oven", oven_C, hotStart } = braise;
	if (heat === "oven") {
		if (!hotStart || hotStart.set_C > oven_C.set) return [];
		return [
			{
				field: "braise.hotStart",
				message: `${hotStart.set_C} °C was given; hotter than the ${oven_C.set} °C that follow is allowed`,
			},
		];
	}
	if (hotStart) return [{ field: "braise.hotStart", message: "only an oven starts hot; leave it out" }];
	if (heat === "hob") return [];
	const { low, high } = HEAT_RANGES[heat];
	if (oven_C.low >= low && oven_C.high <= high) return [];
	return [
		{
			field: "braise.oven_C",
			message: `${oven_C.low} to ${oven_C.high} °C were given; ${low} to ${high} °C are allowed ${HEATS[heat]}`,
		},
	];
}
