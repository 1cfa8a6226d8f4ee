import { type Static, Type } from "@sinclair/typebox";
import { Grams, Kilograms, LARGEST_COUNT, Litres, Name, oneOf, refuse } from "../check/index.ts";
import { ROLES, type Role } from "../trade/index.ts";
import { weighAsCook } from "./weighAsCook.ts";

export const ScaleLine = Type.Object({
	name: Name,
	amount_g: Type.Optional(Grams),
	count: Type.Optional(
		Type.Number({ exclusiveMinimum: 0, maximum: LARGEST_COUNT, allowed: "a count above 0" }),
	),
	role: oneOf(ROLES, { title: "Role" }),
	exponent: Type.Optional(Type.Number({ minimum: 0.5, maximum: 1, allowed: "an exponent from 0.5 to 1" })),
});
export type ScaleLine = Static<typeof ScaleLine>;

const Portions = Type.Integer({
	minimum: 1,
	maximum: LARGEST_COUNT,
	allowed: "a whole number from 1 to 100,000",
});

/** What one card is scaled to. `searLoads` and `sauce_l` are needed by the lines that follow them. */
export const ScaleTo = Type.Object({
	baseMain_kg: Kilograms,
	main_kg: Kilograms,
	basePortions: Portions,
	portions: Portions,
	searLoads: Type.Optional(
		Type.Integer({ minimum: 1, maximum: LARGEST_COUNT, allowed: "a whole number of loads from 1" }),
	),
	sauce_l: Type.Optional(Litres),
});

/** A kind of pot that a batch is cooked in. */
export interface PotShare {
	/** Share of the batch that is in pots of it. */
	readonly share: number;
	/** What a full one holds over what the card is for. */
	readonly growth: number;
}

export type ScaleTo = Static<typeof ScaleTo> & {
	/** In what it is cooked; one pot that grows with the batch where it is absent. */
	readonly pots?: readonly PotShare[];
};

export interface ScaledLine {
	readonly name: string;
	readonly role: Role;
	/** Before rounding; absent for what is counted. */
	readonly amount_g?: number;
	/** Whole pieces, for what is counted. */
	readonly count?: number;
	/** Rounded as a cook weighs; absent for what is counted. */
	readonly weigh_g?: number;
	/** Share of the main's trimmed weight, %; absent for what is counted. */
	readonly percentOfMain?: number;
	/** What the amount on the card was multiplied by. */
	readonly factor: number;
}

/**
 * Every line of a card at another size, each by the law of its role.
 *
 * Searing fat on the card is for one load and thickener for one litre of finished
 * sauce. Braising liquid is scaled straight here, as the card's own check; the plan
 * replaces it by what the pans need.
 *
 * @throws {Refusal} when a line has neither weight nor count, or needs loads or sauce that are not given
 * @see model, section B
 */
export function scaleLines(lines: readonly ScaleLine[], to: ScaleTo): ScaledLine[] {
	return lines.map((line, index) => scaleLine(line, to, `lines[${index}]`));
}

function scaleLine(line: ScaleLine, to: ScaleTo, field: string): ScaledLine {
	const factor = factorOf(line, to);
	const { name, role } = line;
	if (line.count !== undefined) {
		return { name, role, factor, count: Math.max(1, Math.round(line.count * factor)) };
	}
	if (line.amount_g === undefined) {
		throw refuse(`${field}.amount_g`, "is missing; a weight or a count is needed");
	}
	const amount_g = line.amount_g * factor;
	return {
		name,
		role,
		factor,
		amount_g,
		weigh_g: weighAsCook(amount_g, role),
		percentOfMain: amount_g / (to.main_kg * 10),
	};
}

function factorOf(line: ScaleLine, to: ScaleTo): number {
	const straight = to.main_kg / to.baseMain_kg;
	switch (line.role) {
		case "potent":
			return potentFactor(straight, line.exponent ?? 1, to.pots);
		case "searFat":
			return neededFor(line, to.searLoads, "searLoads", "searing fat goes by the load");
		case "thickener":
			return neededFor(line, to.sauce_l, "sauce_l", "thickener goes by the litre of sauce");
		case "finishing":
			return to.portions / to.basePortions;
		default:
			return straight;
	}
}

/**
 * Strong spices are damped as one pot grows; more pots of the same kind are each seasoned alike,
 * so that a portion tastes the same however many there are.
 */
function potentFactor(straight: number, exponent: number, pots: readonly PotShare[] = []): number {
	if (pots.length === 0 || straight < 1) return straight ** exponent;
	const damped = ({ growth }: PotShare) => Math.max(1, Math.min(straight, growth)) ** (exponent - 1);
	return straight * pots.reduce((sum, pot) => sum + pot.share * damped(pot), 0);
}

function neededFor(line: ScaleLine, value: number | undefined, field: string, why: string): number {
	if (value !== undefined) return value;
	throw refuse(field, `is missing, and “${line.name}” needs it: ${why}`);
}
