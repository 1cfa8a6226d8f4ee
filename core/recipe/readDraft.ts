import { type Problem, Refusal } from "../check/index.ts";
import { checkPreparation, checkRecipe } from "./checkRecipe.ts";
import type { Draft, DraftLine, DraftStep } from "./Draft.ts";
import type { Ingredient } from "./Ingredient.ts";
import type { Preparation } from "./Preparation.ts";
import type { Recipe } from "./Recipe.ts";
import { type DraftLineRead, readTyped, writtenLines, writtenSteps } from "./readTyped.ts";

export interface DraftRead {
	readonly lines: readonly DraftLineRead[];
	/** What the draft says, when all of it holds. */
	readonly doc?: Recipe | Preparation;
	/** What does not hold yet, by field; lines as `line.KEY`, steps as `step.KEY`. */
	readonly wrong: Readonly<Record<string, string>>;
}

/**
 * What a draft says: its lines, and the whole as a recipe once everything holds.
 *
 * @param known everything a line can name, by short name
 * @param named the same by every name it goes by
 */
export function readDraft(
	draft: Draft,
	known: ReadonlyMap<string, Ingredient>,
	named: ReadonlyMap<string, Ingredient>,
): DraftRead {
	const { lines, raw, wrong } = readTyped(draft, named);
	if (Object.keys(wrong).length > 0) return { lines, wrong };
	try {
		const doc = draft.kind === "dish" ? checkRecipe(raw, known) : checkPreparation(raw, known);
		return { lines, doc, wrong };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { lines, wrong: wrongOf(error.problems, writtenLines(draft), writtenSteps(draft)) };
	}
}

/** Which field of the draft a path of the recipe was typed in. */
const TYPED_IN: readonly (readonly [RegExp, string])[] = [
	[/^second\.cut/, "secondCut"],
	[/^second\.losses\.trimLoss/, "secondTrim"],
	[/^second\.losses\.boneShare/, "secondBone"],
	[/^second\.losses/, "secondLoss"],
	[/^second\.piece\.weight_g/, "secondWeight"],
	[/^second\.piece\.length/, "secondLength"],
	[/^second\.piece\.width/, "secondWidth"],
	[/^second\.piece\.height/, "secondHeight"],
	[/^second\.piece\.diameter/, "secondDiameter"],
	[/^second/, "second"],
	[/^topping/, "topping"],
	[/^serving\.platterFor/, "platterFor"],
	[/^serving\.order/, "platedAs"],
	[/^serving\.people/, "linePeople"],
	[/^serving\.pulled\.loss/, "pulledLoss"],
	[/^serving\.pulled/, "pulledPortion"],
	[/^portion\.portion_g/, "portion"],
	[/^portion\.piecesPerPortion/, "piecesPerPortion"],
	[/^portion\.piece_g/, "bought"],
	[/^portion$/, "portion"],
	[/^losses\.(\w+)/, "$1"],
	[/^pack_kg/, "pack"],
	[/^orderLead_days/, "orderLead"],
	[/^piece\.weight_g/, "pieceWeight"],
	[/^piece\.(length|width|height|diameter)_mm/, "$1"],
	[/^piece/, "shape"],
	[/^gap_mm/, "gap"],
	[/^marinate\.minutes/, "marinateFor"],
	[/^marinate\.longest_min/, "marinateMost"],
	[/^marinate/, "container"],
	[/^rack\.perPiece/, "pieceBones"],
	[/^rack/, "rackBones"],
	[/^sear\.inPot/, "searIn"],
	[/^sear\.gap_mm/, "searGap"],
	[/^sear\.recovery_min/, "recovery"],
	[/^sear\.(\w+)/, "$1"],
	[/^braise\.line/, "lineAt"],
	[/^braise\.lid/, "lid"],
	[/^braise\.oven_C/, "ovenSet"],
	[/^braise\.heat/, "heat"],
	[/^braise\.hotStart\.minutes/, "hotFor"],
	[/^braise\.hotStart/, "hotAt"],
	[/^braise\.uncovered_min/, "uncovered"],
	[/^rest_min/, "rest"],
	[/^sauce_ml/, "sauce"],
	[/^finish/, "reducedBy"],
	[/^makes/, "makes"],
	[/^density/, "density"],
	[/^gelatin/, "gelatin"],
	[/^holds/, "holds"],
	[/^keeps/, "keeps"],
	[/^layers/, "layers"],
	[/^servedIn/, "servedIn"],
];

function wrongOf(
	problems: readonly Problem[],
	lines: readonly DraftLine[],
	steps: readonly DraftStep[],
): Record<string, string> {
	return Object.fromEntries(
		problems.map(({ field, message }) => [fieldOf(field, lines, steps), sentence(message)]),
	);
}

function fieldOf(path: string, lines: readonly DraftLine[], steps: readonly DraftStep[]): string {
	const listed = /^(line|step)s\[(\d+)\]/.exec(path);
	if (listed) {
		const written = listed[1] === "line" ? lines : steps;
		return `${listed[1]}.${written[Number(listed[2])]?.key ?? ""}`;
	}
	for (const [pattern, field] of TYPED_IN) {
		const match = pattern.exec(path);
		if (match) return field.replace("$1", match[1] ?? "");
	}
	return path;
}

function sentence(message: string): string {
	const text = message.charAt(0).toUpperCase() + message.slice(1);
	return text.endsWith(".") ? text : `${text}.`;
}
