import { chakra } from "@chakra-ui/react/styled-system";
import isEqual from "fast-deep-equal";
import { memo, type ReactNode, type RefObject } from "react";
import { CATEGORIES, CATEGORY_KEYS, DISH_FIELDS, type Draft } from "#core/recipe";
import { CUTS, cutWords, HEATS, LIDS } from "#core/trade";
import { Choice, Field, LongText } from "../../ui/forms/Field.tsx";
import { Heading, Muted, Sheet } from "../../ui/parts/parts.tsx";
import { SERVED_WORDS } from "../../ui/words/servedWords.ts";
import { changeField } from "../draftEdits.ts";

export interface FieldSheetsProps {
	readonly draft: Draft;
	/** Cards that it can be a variant of, with the number in use. */
	readonly dishes: readonly { readonly id: string; readonly name: string; readonly number: number }[];
	readonly wrong: Readonly<Record<string, string>>;
	/** The draft by the time something is typed. */
	readonly latest: RefObject<Draft>;
	readonly onChange: (draft: Draft, tag?: string) => void;
}

const Columns = chakra("div", {
	base: { display: "grid", gap: "10px 12px", gridTemplateColumns: "repeat(auto-fill, minmax(150px, 1fr))" },
});

/** Each card at the number in use; the one it is a variant of already at the number it has seen. */
function variantChoices(
	{ fields: { variantOf = "" } }: Draft,
	dishes: FieldSheetsProps["dishes"],
): (readonly [string, string])[] {
	const [own = ""] = variantOf.split(" ");
	const others = dishes.filter(({ id }) => id !== own);
	const seen = dishes.find(({ id }) => id === own)?.name ?? own;
	return [
		...(own === "" ? [] : [[variantOf, seen] as const]),
		...others.map(({ id, name, number }) => [`${id} ${number}`, name] as const),
	];
}

/** Everything of a draft but its lines and steps; what is typed in those does not draw it again. */
export const FieldSheets = memo(function FieldSheets(props: FieldSheetsProps) {
	return props.draft.kind === "dish" ? <DishFields {...props} /> : <PreparationFields {...props} />;
}, hasSameFields);

function hasSameFields(before: FieldSheetsProps, now: FieldSheetsProps): boolean {
	return (
		before.draft.fields === now.draft.fields &&
		before.draft.kind === now.draft.kind &&
		before.dishes === now.dishes &&
		isEqual(before.wrong, now.wrong)
	);
}

/** The parts that write one field each, for the sheets below. */
function fieldsOf({ draft, wrong, latest, onChange }: FieldSheetsProps) {
	const common = (field: string) => ({
		name: `field.${field}`,
		value: draft.fields[field] ?? "",
		wrong: wrong[field],
		onChange: (event: { target: { value: string } }) =>
			onChange(changeField(latest.current, field, event.target.value), field),
	});
	return {
		text: (field: string, label: string, after?: string) => (
			<Field key={field} label={label} after={after} autoComplete="off" {...common(field)} />
		),
		area: (field: string, label: string) => <LongText key={field} label={label} {...common(field)} />,
		choice: (field: string, label: string, options: readonly (readonly [string, string])[]) => (
			<Choice key={field} label={label} {...common(field)}>
				{options.map(([value, words]) => (
					<option key={value} value={value}>
						{words}
					</option>
				))}
			</Choice>
		),
		/** Fields that are not asked for keep what was typed in them. */
		kept: (fields: readonly string[]) =>
			fields.map((field) => (
				<input key={field} type="hidden" name={`field.${field}`} value={draft.fields[field] ?? ""} />
			)),
		is: (field: string, value: string) => (draft.fields[field] || USUAL[field]) === value,
	};
}

type Fields = ReturnType<typeof fieldsOf>;

/** What stands in a field of a dish that an older draft does not have. */
const USUAL: Readonly<Record<string, string>> = DISH_FIELDS;

function Part({ heading, children }: { readonly heading: string; readonly children: ReactNode }) {
	return (
		<Sheet display="grid" gap="10px">
			<Heading>{heading}</Heading>
			{children}
		</Sheet>
	);
}

const YES_NO = [
	["yes", "yes"],
	["", "no"],
] as const;

/** Whose pints, fluid ounces, quarts and gallons the lines mean where they do not say. */
const PINTS = [
	["us", "US, 473 ml"],
	["uk", "UK, 568 ml"],
] as const;

const YES_NO_FIRST = [
	["", "no"],
	["yes", "yes"],
] as const;

const SHAPES = [
	["block", "block"],
	["cylinder", "cylinder, lying"],
	["standing", "cylinder, on its end"],
	["ball", "round"],
] as const;

/** Fields of a second main besides whether there is one. */
const SECOND = Object.keys(DISH_FIELDS).filter((field) => /^second./.test(field));

/** Sides of a second main that its shape does not have. */
function unasked(shape = "block"): string[] {
	if (shape === "block") return ["secondDiameter"];
	return ["secondWidth", "secondHeight", ...(shape === "ball" ? ["secondLength"] : [])];
}

function DishFields(props: FieldSheetsProps) {
	const fields = fieldsOf(props);
	return (
		<>
			<AboutPart {...fields} draft={props.draft} dishes={props.dishes} />
			<YieldPart {...fields} />
			<ServingPart {...fields} />
			<PiecePart {...fields} />
			<SecondPart {...fields} draft={props.draft} />
			<SearPart {...fields} />
			<BraisePart {...fields} />
		</>
	);
}

function AboutPart({
	text,
	area,
	choice,
	kept,
	draft,
	dishes,
}: Fields & Pick<FieldSheetsProps, "draft" | "dishes">) {
	return (
		<Part heading="The dish">
			{text("name", "Name")}
			{area("summary", "In a sentence")}
			<Columns>
				{choice(
					"cut",
					"Cut",
					CUTS.map((cut) => [cut, cutWords(cut)]),
				)}
				{text("portions", "Written for", "portions")}
				{text("tags", "Tags, by commas")}
				{choice("measures", "A pint is", PINTS)}
				{text("season", "Season (empty: all year)")}
			</Columns>
			{text("origin", "Where it comes from")}
			{text("drinks", "Drunk with it")}
			{dishes.length === 0
				? kept(["variantOf"])
				: choice("variantOf", "A variant of", [
						["", "none: a dish of its own"],
						...variantChoices(draft, dishes),
					])}
		</Part>
	);
}

function YieldPart({ text, choice, kept, is }: Fields) {
	return (
		<Part heading="Portion and yield">
			<Columns>
				{choice("portionBy", "Portioned", [
					["weight", "by cooked weight"],
					["piece", "by the piece"],
				])}
				{is("portionBy", "piece") ? (
					<>
						{text("piecesPerPortion", "Pieces a portion")}
						{text("bought", "A piece as bought")}
						{text("rackBones", "A pack is a rack of", "bones")}
						{text("pieceBones", "A piece has", "bones")}
						{kept(["portion"])}
					</>
				) : (
					<>
						{is("servedIn", "pulled") ? kept(["portion"]) : text("portion", "Cooked, a portion")}
						{kept(["piecesPerPortion", "bought", "rackBones", "pieceBones"])}
					</>
				)}
				{text("sauce", "Sauce, a portion")}
				{text("trimLoss", "Trim loss", "%")}
				{text("boneShare", "Bone", "%")}
				{text("cookingLoss", "Cooking loss", "%")}
				{text("pack", "Sold in packs of")}
				{text("orderLead", "Ordered", "days before")}
			</Columns>
		</Part>
	);
}

function ServingPart({ text, choice, kept, is }: Fields) {
	return (
		<Part heading="How it leaves the kitchen">
			<Columns>
				{choice("servedIn", "Served", Object.entries(SERVED_WORDS))}
				{is("servedIn", "platters") ? text("platterFor", "A platter for", "guests") : kept(["platterFor"])}
				{is("servedIn", "pulled") ? (
					<>
						{text("pulledLoss", "Lost in pulling", "%")}
						{text("pulledPortion", "A portion of that dish takes")}
					</>
				) : (
					kept(["pulledLoss", "pulledPortion"])
				)}
				{text("linePeople", "People on the line")}
			</Columns>
			{text("platedAs", "Built in this order, by commas")}
		</Part>
	);
}

function PiecePart({ text, choice, kept, is }: Fields) {
	return (
		<Part heading="One piece, trimmed">
			<Columns>
				{choice("shape", "Shape", SHAPES)}
				{text("pieceWeight", "Weight")}
				{is("shape", "ball") ? null : text("length", "Length", "mm")}
				{is("shape", "block") ? text("width", "Width", "mm") : null}
				{is("shape", "block") ? text("height", "Height", "mm") : text("diameter", "Thickness", "mm")}
				{text("gap", "Gap in the pan", "mm")}
				{choice("layers", "They lie", [
					["1", "in one layer"],
					["2", "two deep, small and soft"],
					["poured", "poured, layers deep"],
				])}
			</Columns>
			{is("shape", "block") ? kept(["diameter"]) : kept(["width", "height"])}
			{is("shape", "ball") ? kept(["length"]) : null}
		</Part>
	);
}

function SecondPart({ text, choice, kept, is, draft }: Fields & Pick<FieldSheetsProps, "draft">) {
	return (
		<Part heading="A second main, a topping">
			<Columns>
				{choice("second", "A second main", YES_NO_FIRST)}
				{is("second", "yes") ? (
					<>
						{choice(
							"secondCut",
							"Its cut",
							CUTS.map((cut) => [cut, cutWords(cut)]),
						)}
						{text("secondTrim", "Trim loss", "%")}
						{text("secondBone", "Bone", "%")}
						{text("secondLoss", "Cooking loss", "%")}
						{choice("secondShape", "Shape", SHAPES)}
						{text("secondWeight", "A piece weighs")}
						{is("secondShape", "ball") ? null : text("secondLength", "Length", "mm")}
						{is("secondShape", "block") ? text("secondWidth", "Width", "mm") : null}
						{is("secondShape", "block")
							? text("secondHeight", "Height", "mm")
							: text("secondDiameter", "Thickness", "mm")}
					</>
				) : (
					kept(SECOND)
				)}
				{text("topping", "Topping, thick", "mm")}
			</Columns>
			{is("second", "yes") ? kept(unasked(draft.fields.secondShape)) : null}
			<Muted>
				Give the second main's line the role “second main”, and the slices “topping”, beside the line.
			</Muted>
		</Part>
	);
}

function SearPart({ text, choice, kept, is }: Fields) {
	return (
		<Part heading="Marinade and sear">
			<Columns>
				{choice("marinated", "Marinated", YES_NO)}
				{is("marinated", "yes") ? (
					<>
						{text("marinateFor", "For")}
						{text("marinateMost", "At the most")}
						{text("container", "In")}
					</>
				) : (
					kept(["marinateFor", "marinateMost", "container"])
				)}
				{choice("seared", "Seared in the pan", YES_NO)}
				{is("seared", "yes") ? (
					<>
						{text("sides", "Sides")}
						{text("minutesPerSide", "Minutes a side")}
						{text("recovery", "Recovery", "min")}
						{text("searGap", "Gap", "mm")}
						{is("heat", "oven")
							? kept(["searIn"])
							: choice("searIn", "In", [
									["", "a searing pan"],
									["yes", "the pot it braises in"],
								])}
					</>
				) : (
					kept(["sides", "minutesPerSide", "recovery", "searGap", "searIn"])
				)}
			</Columns>
		</Part>
	);
}

function BraisePart({ text, choice, kept, is }: Fields) {
	return (
		<Part heading="Braise, rest and sauce">
			<Columns>
				{choice("lineBy", "Liquid line", [
					["share", "% up the piece"],
					["below", "mm below its top"],
					["over", "mm over its top"],
				])}
				{text("lineAt", "at", is("lineBy", "share") ? "%" : "mm")}
				{choice("lid", "On the pan", Object.entries(LIDS))}
				{choice("heat", "Made tender", Object.entries(HEATS))}
				{is("heat", "hob") ? (
					kept(["ovenSet", "ovenLow", "ovenHigh", "hotAt", "hotFor"])
				) : (
					<>
						{text("ovenSet", "Set to", "°C")}
						{text("ovenLow", "From", "°C")}
						{text("ovenHigh", "to", "°C")}
					</>
				)}
				{is("heat", "oven") ? (
					<>
						{text("hotAt", "Hotter at first", "°C")}
						{text("hotFor", "for", "min")}
					</>
				) : null}
				{is("heat", "hob") || is("heat", "oven") ? null : kept(["hotAt", "hotFor"])}
				{text("uncovered", "Uncovered at the end", "min")}
				{text("rest", "Rest", "min")}
				{text("reducedBy", "Sauce reduced by", "%")}
			</Columns>
		</Part>
	);
}

function PreparationFields(props: FieldSheetsProps) {
	const { text, area, choice } = fieldsOf(props);
	return (
		<Part heading="What is made">
			{text("name", "Name")}
			{area("summary", "In a sentence")}
			<Columns>
				{choice(
					"category",
					"It is a",
					CATEGORY_KEYS.map((key) => [key, CATEGORIES[key].words]),
				)}
				{text("makes", "Makes")}
				{text("density", "Density", "g/ml")}
				{text("gelatin", "Gelatin of a stock", "g/l")}
				{text("holds", "Holds hot for")}
				{text("keeps", "Keeps cold for", "days")}
				{text("tags", "Tags, by commas")}
				{choice("measures", "A pint is", PINTS)}
			</Columns>
		</Part>
	);
}
