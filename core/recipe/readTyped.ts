import { type CountryMeasures, numbersIn } from "../quantity/index.ts";
import type { Role } from "../trade/index.ts";
import { CUTS, type Cut, cutWords, HEAT_RANGES } from "../trade/index.ts";
import { CATEGORIES } from "./categories.ts";
import {
	type Draft,
	type DraftLine,
	type DraftStep,
	PIECE_FIELDS,
	type PieceFields,
	SECOND_PIECE_FIELDS,
} from "./Draft.ts";
import { FieldReader } from "./FieldReader.ts";
import type { Ingredient } from "./Ingredient.ts";
import { type LineRead, LONGEST_LINE, readLine } from "./lineText.ts";
import { plainName } from "./names.ts";
import { lossesTyped, portionTyped } from "./portionTyped.ts";
import { DOC_VERSION, SERVED_IN, type VariantOf } from "./Recipe.ts";
import { readSeason } from "./season.ts";
import { gramsOrNull } from "./weighLine.ts";

/** A line of a draft with what it says and the role it has, chosen or proposed. */
export interface DraftLineRead extends LineRead {
	readonly key: string;
	readonly role: Role;
	readonly proposed: boolean;
}

export interface TypedRead {
	readonly lines: readonly DraftLineRead[];
	/** What was typed, in the shape of a recipe; figures that could not be read are not numbers. */
	readonly raw: object;
	/** What does not hold yet, by field; lines as `line.KEY`, steps as `step.KEY`. */
	readonly wrong: Readonly<Record<string, string>>;
}

/**
 * A draft as far as reading alone goes: its lines with the roles they propose, the fields
 * as what they stand for, and what could not be read. Whether the whole holds as a recipe
 * is not judged, so it needs no validator and runs as it is typed.
 *
 * @param named ingredients by every name they go by
 */
export function readTyped(draft: Draft, named: ReadonlyMap<string, Ingredient>): TypedRead {
	const lines = readLines(draft, named);
	const wrong: Record<string, string> = {};
	for (const line of lines) {
		const problem = problemOf(line);
		if (problem) wrong[`line.${line.key}`] = problem;
	}
	const fields = new FieldReader(draft.fields, wrong);
	const raw = {
		...(draft.kind === "dish" ? dishOf(fields, draft) : preparationOf(fields)),
		lines: writtenLines(draft).map((line) => rawLine(line, lines, wrong)),
		steps: writtenSteps(draft).map((step) => rawStep(step, wrong)),
	};
	return { lines, raw, wrong };
}

/** Lines that have text; an empty one says nothing. */
export function writtenLines(draft: Draft): DraftLine[] {
	return draft.lines.filter((line) => line.text.trim() !== "");
}

/** Steps that have text. */
export function writtenSteps(draft: Draft): DraftStep[] {
	return draft.steps.filter((step) => step.text.trim() !== "");
}

/** Whose pints the draft means; those of the United States where nobody has said. */
function measuresIn({ fields }: Draft): CountryMeasures {
	return fields.measures === "uk" ? "uk" : "us";
}

/** Reads every line that has text; the first line of the cut's own kind, or else the first meat, is the main. */
function readLines(draft: Draft, named: ReadonlyMap<string, Ingredient>): DraftLineRead[] {
	const read = writtenLines(draft).map((line) => ({
		line,
		read: readLine(line.text, named, measuresIn(draft)),
	}));
	const chosen = read.find(({ line }) => line.role === "main");
	const main = chosen ?? proposedMain(draft, read);
	return read.map((lineRead) => {
		const role =
			lineRead.line.role || proposedRole(lineRead.line, lineRead.read, lineRead === main, draft.kind);
		return { ...lineRead.read, key: lineRead.line.key, role, proposed: lineRead.line.role === "" };
	});
}

interface WithLine {
	readonly line: DraftLine;
	readonly read: LineRead;
}

function proposedMain(draft: Draft, read: readonly WithLine[]): WithLine | undefined {
	if (draft.kind === "preparation") return undefined;
	const open = read.filter(({ line }) => line.role === "");
	const cut = CUTS.find((key) => key === draft.fields.cut);
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

function problemOf({
	tooLong,
	quantity,
	unclear,
	ingredient,
	unknown,
	unknownInstead,
}: DraftLineRead): string | undefined {
	if (tooLong) return `A line has up to ${LONGEST_LINE} characters; put the rest into the steps.`;
	if (unclear) return `${unclear}.`;
	if (!quantity) return "Start with an amount, such as 2.5 kg or 3.";
	if (!ingredient) return unknown ? `“${unknown}” is not in the book yet.` : "Which ingredient?";
	if (unknownInstead) {
		return `“${unknownInstead}” may not stand in its place yet: an amount and something in the book are needed.`;
	}
	if (quantity.amount <= 0) return "An amount above 0 is needed.";
	return undefined;
}

function rawLine(line: DraftLine, read: readonly DraftLineRead[], wrong: Record<string, string>) {
	const found = read.find(({ key }) => key === line.key);
	const { quantity, ingredient, role, said } = found ?? { said: {} };
	const exponent = line.exponent.trim() === "" ? undefined : (numbersIn(line.exponent).at(-1) ?? Number.NaN);
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
		...(step.heat ? { heat: step.heat } : {}),
		...(step.when ? { when: step.when } : {}),
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
		formatVersion: DOC_VERSION,
		name: fields.text("name"),
		summary: fields.text("summary"),
		...given("tags", fields.tags("tags")),
		category: fields.text("category"),
		makes,
		...given(
			"density_g_per_ml",
			fields.optional("density", () => fields.number("density")),
		),
		...given(
			"gelatin_g_per_l",
			fields.optional("gelatin", () => fields.number("gelatin")),
		),
		...given(
			"holds_min",
			fields.optional("holds", () => fields.minutes("holds")),
		),
		...given(
			"keeps_days",
			fields.optional("keeps", () => fields.number("keeps")),
		),
	};
}

function dishOf(fields: FieldReader, draft: Draft) {
	return {
		format: "wide-table/recipe",
		formatVersion: DOC_VERSION,
		name: fields.text("name"),
		summary: fields.text("summary"),
		...given("tags", fields.tags("tags")),
		...given("variantOf", variantIn(fields)),
		...given("season", seasonIn(fields)),
		...given("origin", fields.text("origin") || undefined),
		...given("drinks", fields.text("drinks") || undefined),
		cut: fields.text("cut"),
		portions: fields.number("portions"),
		portion: portionTyped(fields),
		losses: lossesTyped(fields),
		...given(
			"pack_kg",
			fields.optional("pack", () => fields.grams("pack") / 1000),
		),
		...given(
			"rack",
			fields.optional("rackBones", () => ({
				bones: fields.number("rackBones"),
				perPiece: fields.number("pieceBones"),
			})),
		),
		orderLead_days: fields.number("orderLead"),
		piece: pieceOf(fields, PIECE_FIELDS),
		...given("second", secondOf(fields)),
		...given(
			"topping",
			fields.optional("topping", () => ({ thickness_mm: fields.millimetres("topping") })),
		),
		gap_mm: fields.millimetres("gap"),
		...given("layers", LAYERS[fields.text("layers")]),
		...given("marinate", marinadeOf(fields)),
		...given("sear", searOf(fields)),
		braise: braiseOf(fields),
		rest_min: fields.minutes("rest"),
		...given(
			"finish",
			fields.optional("reducedBy", () => ({ reduceBy: fields.share("reducedBy") })),
		),
		...servedOf(fields),
		sauce_ml: fields.millilitres("sauce"),
		...(Object.keys(draft.schools).length > 0 ? { schools: draft.schools } : {}),
	};
}

function pieceOf(fields: FieldReader, of: PieceFields) {
	const weight_g = fields.grams(of.weight);
	const shape = fields.text(of.shape);
	if (shape === "block") {
		return {
			shape,
			length_mm: fields.millimetres(of.length),
			width_mm: fields.millimetres(of.width),
			height_mm: fields.millimetres(of.height),
			weight_g,
		};
	}
	const diameter_mm = fields.millimetres(of.diameter);
	if (shape === "ball") return { shape, diameter_mm, weight_g };
	const cylinder = { shape: "cylinder", length_mm: fields.millimetres(of.length), diameter_mm, weight_g };
	return shape === "standing" ? { ...cylinder, standing: true } : cylinder;
}

function secondOf(fields: FieldReader) {
	if (fields.text("second") !== "yes") return undefined;
	return {
		cut: fields.text("secondCut"),
		losses: {
			trimLoss: fields.share("secondTrim"),
			...given(
				"boneShare",
				fields.optional("secondBone", () => fields.share("secondBone")),
			),
			cookingLoss: fields.share("secondLoss"),
		},
		piece: pieceOf(fields, SECOND_PIECE_FIELDS),
	};
}

/** What it is served in, and how; on plates where nothing else was chosen. */
function servedOf(fields: FieldReader) {
	const servedIn = SERVED_IN.find((key) => key !== "plates" && key === fields.text("servedIn"));
	const order = fields.tags("platedAs");
	const serving = {
		...given(
			"platterFor",
			servedIn === "platters" ? fields.optional("platterFor", () => fields.number("platterFor")) : undefined,
		),
		...given("order", order),
		...given(
			"people",
			fields.optional("linePeople", () => fields.number("linePeople")),
		),
		...given(
			"pulled",
			servedIn === "pulled"
				? { loss: fields.share("pulledLoss"), portion_g: fields.grams("pulledPortion") }
				: undefined,
		),
	};
	return {
		...given("servedIn", servedIn),
		...(Object.keys(serving).length > 0 ? { serving } : {}),
	};
}

/** "pork-collar 2": the card, and the number of it. */
function variantIn(fields: FieldReader): VariantOf | undefined {
	const [recipe = "", number = ""] = fields.text("variantOf").split(/\s+/);
	return recipe === "" ? undefined : { recipe, number: Number(number) };
}

function seasonIn(fields: FieldReader): number[] | undefined {
	const text = fields.text("season");
	if (text === "" || text.toLowerCase() === "all year") return undefined;
	return readSeason(text) ?? fields.refused("season", "months such as Sep–Nov or 9, 10, 11");
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
		...(fields.text("searIn") === "yes" ? { inPot: true } : {}),
	};
}

function braiseOf(fields: FieldReader) {
	const heat = fields.text("heat");
	const isHob = heat === "hob";
	return {
		line: lineOf(fields),
		lid: fields.text("lid"),
		...(heat === "" || heat === "oven" ? {} : { heat }),
		// A hob holds its simmer, whatever was typed for an oven before.
		oven_C: isHob
			? HEAT_RANGES.oven
			: {
					low: fields.celsius("ovenLow"),
					set: fields.celsius("ovenSet"),
					high: fields.celsius("ovenHigh"),
				},
		...given("hotStart", hotStartOf(fields)),
		...given(
			"uncovered_min",
			fields.optional("uncovered", () => fields.minutes("uncovered")),
		),
	};
}

/** Only an oven starts hot. */
function hotStartOf(fields: FieldReader) {
	const isOven = ["", "oven"].includes(fields.text("heat"));
	if (!isOven || (fields.text("hotAt") === "" && fields.text("hotFor") === "")) return undefined;
	return { set_C: fields.celsius("hotAt"), minutes: fields.minutes("hotFor") };
}

function lineOf(fields: FieldReader) {
	const by = fields.text("lineBy");
	if (by === "share") return { share: fields.share("lineAt") };
	return by === "over"
		? { over_mm: fields.millimetres("lineAt") }
		: { below_mm: fields.millimetres("lineAt") };
}

/** Grams of the main of a draft as it stands on the card; 0 while that is not known. */
export function mainGrams(lines: readonly DraftLineRead[]): number {
	const main = lines.find(({ role }) => role === "main");
	return main?.quantity && main.ingredient ? (gramsOrNull(main.quantity, main.ingredient) ?? 0) : 0;
}

/** How pieces lie, as it is typed; in one layer otherwise. */
const LAYERS: Readonly<Record<string, 2 | "poured" | undefined>> = { "2": 2, poured: "poured" };
