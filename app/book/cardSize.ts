import { Type } from "@sinclair/typebox";
import { LARGEST_COUNT, oneOf, Refusal, refuse } from "#core/check";
import { parseWeight, readNumber, type UnitSystem } from "#core/quantity";
import { type FormRead, readForm, typedIn, wrongOf } from "../ui/forms/form.ts";

/** What a card can be read at. */
export const CARD_BASES = {
	covers: "portions",
	onHand: "weight on hand",
	pans: "pans",
	factor: "times the card",
} as const;
export type CardBasis = keyof typeof CARD_BASES;

const SizeForm = Type.Object({
	basis: oneOf(Object.keys(CARD_BASES) as CardBasis[]),
	size: Type.String({ minLength: 1, maxLength: 40, allowed: "how much, such as 40 or 17.4 kg" }),
	panType: Type.Optional(Type.String({ maxLength: 40 })),
});

/** The size a card is read at; the card's own is a factor of 1. */
export type CardSize =
	| { readonly basis: "covers"; readonly portions: number }
	| { readonly basis: "onHand"; readonly onHand_kg: number }
	| { readonly basis: "pans"; readonly pans: number; readonly panTypeId: string | null }
	| { readonly basis: "factor"; readonly factor: number };

/** Whether an address carries a size. */
export function hasSize(address: URLSearchParams): boolean {
	return address.has("basis") || address.has("portions");
}

/**
 * Reads the size a card is asked at; `portions=40` alone is understood too.
 *
 * @param units a bare weight is kg, or lb where the reader has US units
 */
export function readSize(address: URLSearchParams, units: UnitSystem): FormRead<CardSize> {
	const typed = new URLSearchParams(address);
	const portions = address.get("portions");
	if (portions !== null && !address.has("basis")) {
		typed.set("basis", "covers");
		typed.set("size", portions);
	}
	const read = readForm(SizeForm, typed);
	if ("wrong" in read) return read;
	try {
		return { value: sizeOf(read.value, units) };
	} catch (error) {
		if (error instanceof Refusal) return { typed: typedIn(typed), wrong: wrongOf(error) };
		throw error;
	}
}

interface Typed {
	readonly basis: CardBasis;
	readonly size: string;
	readonly panType?: string;
}

function sizeOf({ basis, size, panType }: Typed, units: UnitSystem): CardSize {
	switch (basis) {
		case "covers":
			return { basis, portions: whole(size, "portions") };
		case "pans":
			return { basis, pans: whole(size, "pans"), panTypeId: panType || null };
		case "onHand":
			return { basis, onHand_kg: kilograms(size, units) };
		case "factor":
			return { basis, factor: factorOf(size) };
	}
}

function whole(text: string, what: string): number {
	const isWhole = (value: number) => Number.isInteger(value) && value >= 1 && value <= LARGEST_COUNT;
	const value = readNumber(text, "size", isWhole) ?? Number.NaN;
	if (Number.isInteger(value) && value >= 1 && value <= LARGEST_COUNT) return value;
	throw refuse("size", `“${text}” was given; a whole number of ${what} from 1 is allowed`);
}

function kilograms(text: string, units: UnitSystem): number {
	return parseWeight(text, "size", units) / 1000;
}

function factorOf(text: string): number {
	const value = readNumber(text.trim().replace(/^[×x]\s*/, ""), "size") ?? Number.NaN;
	if (value > 0 && value <= 10_000) return value;
	throw refuse("size", `“${text}” was given; a number above 0 and up to 10,000 is allowed`);
}
