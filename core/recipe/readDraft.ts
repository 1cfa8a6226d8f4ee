import { CUTS, type Cut, cutWords } from "../braise/index.ts";
import { type Problem, Refusal } from "../check/index.ts";
import type { Role } from "../scaling/index.ts";
import { CATEGORIES } from "./categories.ts";
import { checkPreparation, checkRecipe } from "./checkRecipe.ts";
import type { Draft, DraftLine, DraftStep } from "./Draft.ts";
import { FieldReader } from "./FieldReader.ts";
import type { Ingredient } from "./Ingredient.ts";
import { type LineRead, readLine } from "./lineText.ts";
import { plainName } from "./names.ts";
import type { Preparation } from "./Preparation.ts";
import type { Recipe } from "./Recipe.ts";

/** A line of a draft with what it says and the role it has, chosen or proposed. */
export interface DraftLineRead extends LineRead {
	readonly key: string;
	readonly role: Role;
	readonly proposed: boolean;
}

export interface DraftRead {
	readonly lines: readonly DraftLineRead[];
	/** What the draft says, when all of it holds. */
	readonly doc?: Recipe | Preparation;
	/** What does not hold yet, by field; lines as `line.KEY`, steps as `step.KEY`. */
	readonly wrong: Readonly<Record<string, string>>;
}

/**
 * What a draft says: its lines read one by one with the roles they propose, and the whole
 * as a recipe once everything holds.
 *
 * @param known everything a line can name, by short name
 * @param named the same by every name it goes by
 */
export function readDraft(
	draft: Draft,
	known: ReadonlyMap<string, Ingredient>,
	named: ReadonlyMap<string, Ingredient>,
): DraftRead {
	const lines = readLines(draft, named);
	const wrong: Record<string, string> = {};
	for (const line of lines) {
		const problem = problemOf(line);
		if (problem) wrong[`line.${line.key}`] = problem;
	}
	const written = draft.lines.filter((line) => line.text.trim() !== "");
	const fields = new FieldReader(draft.fields, wrong);
	const raw = {
		...(draft.kind === "dish" ? dishOf(fields, draft) : preparationOf(fields)),
		lines: written.map((line) => rawLine(line, lines, wrong)),
		steps: draft.steps.filter((step) => step.text.trim() !== "").map((step) => rawStep(step, wrong)),
	};
	if (Object.keys(wrong).length > 0) return { lines, wrong };
	try {
		const doc = draft.kind === "dish" ? checkRecipe(raw, known) : checkPreparation(raw, known);
		return { lines, doc, wrong };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { lines, wrong: wrongOf(error.problems, draft, written) };
	}
}

/** Reads every line that has text; the first line of the cut's own kind, or else the first meat, is the main. */
function readLines(draft: Draft, named: ReadonlyMap<string, Ingredient>): DraftLineRead[] {
	const read = draft.lines
		.filter((line) => line.text.trim() !== "")
		.map((line) => ({ line, read: readLine(line.text, named) }));
	const chosen = read.find(({ line }) => line.role === "main");
	const main = chosen ?? proposedMain(draft, read);
	return read.map((one) => {
		const role = one.line.role || proposedRole(one.line, one.read, one === main, draft.kind);
		return { ...one.read, key: one.line.key, role, proposed: one.line.role === "" };
	});
}

interface WithLine {
	readonly line: DraftLine;
	readonly read: LineRead;
}

function proposedMain(draft: Draft, read: readonly WithLine[]): WithLine | undefined {
	if (draft.kind === "preparation") return undefined;
	const open = read.filter(({ line }) => line.role === "");
	const cut = CUTS.find((one) => one === draft.fields.cut);
	return (
		open.find(({ read: { ingredient } }) => ingredient && isOfCut(ingredient, cut)) ??
		open.find(({ read: { ingredient } }) => ingredient && CATEGORIES[ingredient.category].role === "main")
	);
}

function isOfCut({ cut, name }: Ingredient, wanted: Cut | undefined): boolean {
	if (wanted === undefined) return false;
	return cut === wanted || plainName(name).startsWith(cutWords(wanted));
}

function proposedRole(
	line: DraftLine,
	{ ingredient, said }: LineRead,
	main: boolean,
	kind: Draft["kind"],
): Role {
	if (main) return "main";
	const usual: Role = ingredient ? CATEGORIES[ingredient.category].role : "vegetable";
	if (kind === "preparation") return usual === "main" || usual === "searFat" ? "vegetable" : usual;
	if (line.group === "side" || said.apart) return usual === "potent" || usual === "salt" ? usual : "side";
	if (line.group === "finish" && (usual === "vegetable" || usual === "searFat")) return "finishing";
	return usual === "main" ? "vegetable" : usual;
}

function problemOf({ quantity, ingredient, unknown }: DraftLineRead): string | undefined {
	if (!quantity) return "Start with an amount, such as 2.5 kg or 3.";
	if (!ingredient) return unknown ? `“${unknown}” is not in the book yet.` : "Which ingredient?";
	if (quantity.amount <= 0) return "An amount above 0 is needed.";
	return undefined;
}

function rawLine(line: DraftLine, read: readonly DraftLineRead[], wrong: Record<string, string>) {
	const found = read.find(({ key }) => key === line.key);
	const { quantity, ingredient, role, said } = found ?? { said: {} };
	const exponent = line.exponent.trim() === "" ? undefined : Number(line.exponent.replace(",", "."));
	if (exponent !== undefined && !(exponent >= 0.5 && exponent <= 1)) {
		wrong[`line.${line.key}`] = `“${line.exponent}” was given; an exponent from 0.5 to 1 is allowed.`;
	}
	return {
		ingredient: ingredient?.id ?? "",
		amount: quantity?.amount ?? 0,
		unit: quantity?.unit ?? "g",
		role,
		group: line.group,
		...said,
		...(exponent === undefined || role !== "potent" ? {} : { exponent }),
		...(line.school ? { school: line.school } : {}),
	};
}

function rawStep(step: DraftStep, wrong: Record<string, string>) {
	const own: Record<string, string> = {};
	const reader = new FieldReader(step, own);
	const raw = {
		place: step.place,
		text: step.text.trim(),
		station: step.station.trim() || "Kitchen",
		handsOn_min: reader.minutes("handsOn"),
		waiting_min: reader.minutes("waiting"),
		grows: step.grows,
		...given(
			"temperature_C",
			reader.optional("temperature", () => reader.celsius("temperature")),
		),
		...given("tools", reader.text("tools") || undefined),
		...given("caution", reader.text("caution") || undefined),
		...given("check", reader.text("check") || undefined),
		...(step.school ? { school: step.school } : {}),
	};
	const [problem] = Object.values(own);
	if (problem) wrong[`step.${step.key}`] = problem;
	return raw;
}

function given<K extends string, V>(key: K, value: V | undefined): { [P in K]?: V } {
	return value === undefined ? {} : ({ [key]: value } as { [P in K]: V });
}

function preparationOf(fields: FieldReader) {
	const makes = fields.quantity("makes", ["mass", "volume"]);
	return {
		format: "wide-table/preparation",
		formatVersion: 1,
		name: fields.text("name"),
		summary: fields.text("summary"),
		...given("tags", fields.tags("tags")),
		category: fields.text("category"),
		makes,
		...given(
			"density_g_per_ml",
			fields.optional("density", () => fields.number("density")),
		),
	};
}

function dishOf(fields: FieldReader, draft: Draft) {
	return {
		format: "wide-table/recipe",
		formatVersion: 1,
		name: fields.text("name"),
		summary: fields.text("summary"),
		...given("tags", fields.tags("tags")),
		cut: fields.text("cut"),
		portions: fields.number("portions"),
		portion:
			fields.text("portionBy") === "piece"
				? { piecesPerPortion: fields.number("piecesPerPortion"), piece_g: fields.grams("bought") }
				: { portion_g: fields.grams("portion") },
		losses: {
			trimLoss: fields.share("trimLoss"),
			...given(
				"boneShare",
				fields.optional("boneShare", () => fields.share("boneShare")),
			),
			cookingLoss: fields.share("cookingLoss"),
		},
		...given(
			"pack_kg",
			fields.optional("pack", () => fields.grams("pack") / 1000),
		),
		orderLead_days: fields.number("orderLead"),
		piece: pieceOf(fields),
		gap_mm: fields.millimetres("gap"),
		...given("marinate", marinadeOf(fields)),
		...given("sear", searOf(fields)),
		braise: {
			line: lineOf(fields),
			lid: fields.text("lid"),
			oven_C: {
				low: fields.celsius("ovenLow"),
				set: fields.celsius("ovenSet"),
				high: fields.celsius("ovenHigh"),
			},
		},
		rest_min: fields.minutes("rest"),
		sauce_ml: fields.millilitres("sauce"),
		...(Object.keys(draft.schools).length > 0 ? { schools: draft.schools } : {}),
	};
}

function pieceOf(fields: FieldReader) {
	const weight_g = fields.grams("pieceWeight");
	const shape = fields.text("shape");
	if (shape === "block") {
		return {
			shape,
			length_mm: fields.millimetres("length"),
			width_mm: fields.millimetres("width"),
			height_mm: fields.millimetres("height"),
			weight_g,
		};
	}
	const diameter_mm = fields.millimetres("diameter");
	if (shape === "ball") return { shape, diameter_mm, weight_g };
	return { shape, length_mm: fields.millimetres("length"), diameter_mm, weight_g };
}

function marinadeOf(fields: FieldReader) {
	if (fields.text("marinated") !== "yes") return undefined;
	return {
		minutes: fields.minutes("marinateFor"),
		longest_min: fields.minutes("marinateMost"),
		container: fields.text("container") || "Shallow containers in the cold room",
	};
}

function searOf(fields: FieldReader) {
	if (fields.text("seared") !== "yes") return undefined;
	return {
		sides: fields.number("sides"),
		minutesPerSide: fields.minutes("minutesPerSide"),
		recovery_min: fields.minutes("recovery"),
		gap_mm: fields.millimetres("searGap"),
	};
}

function lineOf(fields: FieldReader) {
	const by = fields.text("lineBy");
	if (by === "share") return { share: fields.share("lineAt") };
	return by === "over"
		? { over_mm: fields.millimetres("lineAt") }
		: { below_mm: fields.millimetres("lineAt") };
}

/** Which field of the draft a path of the recipe was typed in. */
const TYPED_IN: readonly (readonly [RegExp, string])[] = [
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
	[/^sear\.gap_mm/, "searGap"],
	[/^sear\.recovery_min/, "recovery"],
	[/^sear\.(\w+)/, "$1"],
	[/^braise\.line/, "lineAt"],
	[/^braise\.lid/, "lid"],
	[/^braise\.oven_C/, "ovenSet"],
	[/^rest_min/, "rest"],
	[/^sauce_ml/, "sauce"],
	[/^makes/, "makes"],
	[/^density/, "density"],
];

function wrongOf(
	problems: readonly Problem[],
	draft: Draft,
	written: readonly DraftLine[],
): Record<string, string> {
	const steps = draft.steps.filter((step) => step.text.trim() !== "");
	return Object.fromEntries(
		problems.map(({ field, message }) => [fieldOf(field, written, steps), sentence(message)]),
	);
}

function fieldOf(path: string, lines: readonly DraftLine[], steps: readonly DraftStep[]): string {
	const listed = /^(line|step)s\[(\d+)\]/.exec(path);
	if (listed) {
		const of = listed[1] === "line" ? lines : steps;
		return `${listed[1]}.${of[Number(listed[2])]?.key ?? ""}`;
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
