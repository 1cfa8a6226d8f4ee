import { CATEGORIES, heatOf } from "../recipe/index.ts";
import type { Plan } from "./Plan.ts";
import { isSour } from "./panLines.ts";
import { isMadeAhead } from "./planLiquid.ts";
import { wholeSpices } from "./wholeSpices.ts";

/** What a dish can hurt somebody with, in the order of work. */
export const HAZARDS = [
	"knife",
	"game",
	"hotFat",
	"flame",
	"steam",
	"pressure",
	"lift",
	"acidOnAluminium",
	"blender",
	"bone",
	"wholeSpices",
	"hotSpread",
] as const;
export type Hazard = (typeof HAZARDS)[number];

/** Spirits burn as they meet a flame; wine does where it is poured into a hot pan. */
const SPIRIT =
	/\b(?:spirits?|brandy|cognac|armagnac|calvados|rum|whisky|whiskey|gin|vodka|marc|grappa|schnapps|aquavit|akvavit|kirsch|ouzo|pastis|flamb\w*|set alight)\b/i;
const GAME =
	/\b(?:game|wild|venison|deer|roe|elk|moose|reindeer|boar|hare|rabbit|pheasant|partridge|grouse|pigeon|woodcock)\b/i;
const GAME_CUTS: readonly string[] = ["wildBoarShoulder", "venisonShoulder", "hareLeg"];
const BLENDED = /\b(?:blend\w*|blitz\w*|pur[ée]e\w*|liquidi[sz]e\w*)\b/i;
/** What of the usual hazards a dish has: its ingredients, its steps and its schools say it. */
export function hazardsOf(plan: Pick<Plan, "recipe" | "lines" | "pans">): Hazard[] {
	const { recipe, lines, pans } = plan;
	const said = recipe.steps.map(({ text }) => text).join("\n");
	const names = lines.map(({ ingredient }) => ingredient.name).join("\n");
	const main = lines.filter(({ line }) => line.role === "main").map(({ ingredient }) => ingredient);
	const isBoned = (recipe.losses.boneShare ?? 0) > 0 || "piecesPerPortion" in recipe.portion;
	const spices = wholeSpices(lines, pans.pans.length);
	const isWined = lines.some(({ ingredient: { category } }) => category === "wine");
	const has: Readonly<Record<Hazard, boolean>> = {
		knife: recipe.losses.trimLoss > 0,
		game: main.some(
			({ name, cut, category }) =>
				CATEGORIES[category].origin === "meat" &&
				(GAME.test(name) || (cut !== null && GAME_CUTS.includes(cut))),
		),
		hotFat: Boolean(recipe.sear),
		flame: SPIRIT.test(names) || SPIRIT.test(said) || (Boolean(recipe.sear) && isWined),
		steam: true,
		pressure: heatOf(recipe) === "pressure",
		lift: true,
		acidOnAluminium: lines.some(({ ingredient }) => isSour(ingredient)),
		blender:
			recipe.schools?.flour === "puree" || recipe.schools?.vegetables === "pureed" || BLENDED.test(said),
		bone: isBoned && main.some(({ category }) => CATEGORIES[category].origin === "meat"),
		wholeSpices: spices.loose.length > 0 || spices.sachets > 0,
		hotSpread: isMadeAhead(recipe),
	};
	return HAZARDS.filter((hazard) => has[hazard]);
}
