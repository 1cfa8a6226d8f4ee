import { type Static, Type } from "@sinclair/typebox";
import { oneOf } from "../check/index.ts";
import { numbersIn } from "../quantity/index.ts";

/** How a vegetable is cut. */
export const CUT_FORMS = ["dice", "chunk", "slice"] as const;
export type CutForm = (typeof CUT_FORMS)[number];

/** Its side or its thickness, mm. */
export const CutSize = Type.Object(
	{
		form: oneOf(CUT_FORMS),
		mm: Type.Number({ minimum: 1, maximum: 120, allowed: "a size from 1 to 120 mm" }),
	},
	{ additionalProperties: false },
);
export type CutSize = Static<typeof CutSize>;

export const CUT_WORDS: Readonly<Record<CutForm, string>> = {
	dice: "dice",
	chunk: "chunks",
	slice: "slices",
};
const FORM = "(dic(?:e|ed)|cub(?:e|es|ed)|chunks?|slic(?:e|es|ed))";
/** "20 mm dice", "dice of 20 mm", "sliced 5 mm thick", "in 4 cm chunks" */
const SIZE_FIRST = new RegExp(`^(?:in\\s+|into\\s+)?([\\d.,]+)\\s*(mm|cm)\\s+${FORM}$`, "i");
const FORM_FIRST = new RegExp(
	`^(?:in\\s+|into\\s+)?${FORM}(?:\\s+of)?\\s+([\\d.,]+)\\s*(mm|cm)(?:\\s+thick)?$`,
	"i",
);

/** The cut that a clause says, and nothing else; undefined where it says something more. */
export function cutIn(clause: string): CutSize | undefined {
	const sized = SIZE_FIRST.exec(clause.trim());
	const formed = FORM_FIRST.exec(clause.trim());
	const [digits, unit, form] = sized
		? [sized[1], sized[2], sized[3]]
		: [formed?.[2], formed?.[3], formed?.[1]];
	const number = numbersIn(digits ?? "").at(-1);
	if (form === undefined || number === undefined || !(number > 0)) return undefined;
	const mm = unit?.toLowerCase() === "cm" ? number * 10 : number;
	return mm >= 1 && mm <= 120 ? { form: formOf(form), mm } : undefined;
}

/** The cut of a line: its own, or what a part of its preparation says. */
export function cutOf({
	cut,
	preparation = "",
}: {
	readonly cut?: CutSize;
	readonly preparation?: string;
}): CutSize | undefined {
	return (
		cut ??
		preparation
			.split(",")
			.map(cutIn)
			.find((found) => found !== undefined)
	);
}

/** "dice of 20 mm" */
export function cutSizeWords({ form, mm }: CutSize): string {
	return `${CUT_WORDS[form]} of ${mm} mm`;
}

function formOf(word: string): CutForm {
	if (/^sl/i.test(word)) return "slice";
	return /^ch/i.test(word) ? "chunk" : "dice";
}
