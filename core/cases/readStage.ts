import { type Static, Type } from "@sinclair/typebox";
import { BraiseAsked, HeatAsked } from "../braise/index.ts";
import { Celsius, oneOf, refuse } from "../check/index.ts";
import { MEDIA } from "../chill/index.ts";
import { isAround, type PieceSides } from "../heat/index.ts";
import {
	braises,
	cools,
	heats,
	STAGE_KINDS,
	type Stage,
	simmers,
	stands,
	travelsIn,
} from "../journey/index.ts";
import { LID_KEYS } from "../trade/index.ts";
import { readHeat } from "./readBraise.ts";
import { readPan } from "./readPan.ts";

const Film = Type.Number({ minimum: 0.1, maximum: 5000, allowed: "a film from 0.1 to 5,000 W/m²K" });
const StageMinutes = Type.Number({ minimum: 0, maximum: 100_000, allowed: "minutes from 0 to 100,000" });
const { pan, cut, meat_kg, liquid_l, start } = BraiseAsked.properties;

/** One stage of a way as it is asked: what it needs depends on its kind. */
export const StageAsked = Type.Object({
	kind: oneOf(STAGE_KINDS),
	minutes: StageMinutes,
	/** Of the air it stands in, or of what holds it. */
	C: Type.Optional(Celsius),
	film_W_per_m2K: Type.Optional(Film),
	heat: Type.Optional(HeatAsked),
	lid: Type.Optional(oneOf(LID_KEYS)),
	medium: Type.Optional(oneOf(MEDIA)),
	medium_C: Type.Optional(Celsius),
	stirEvery_min: Type.Optional(
		Type.Number({ minimum: 1, maximum: 240, allowed: "minutes from 1 to 240 between two stirrings" }),
	),
	mass_kg: Type.Optional(
		Type.Number({ exclusiveMinimum: 0, maximum: 2000, allowed: "a weight up to 2,000 kg" }),
	),
	UA_W_per_K: Type.Optional(
		Type.Number({ exclusiveMinimum: 0, maximum: 100, allowed: "a loss above 0 and up to 100 W/K" }),
	),
	air_C: Type.Optional(Celsius),
	/** Of the pan that is heated; its shape is checked by its kind. */
	pan: Type.Optional(pan),
	cut: Type.Optional(cut),
	meat_kg: Type.Optional(meat_kg),
	liquid_l: Type.Optional(liquid_l),
	start: Type.Optional(Type.Partial(start)),
});
export type StageAsked = Static<typeof StageAsked>;

/** Out of the fridge, °C; and a cut that heats like most, where a case names none. */
const COLD_C = 4;
const USUAL_CUT = "porkShoulder";
/** A vessel that a case does not name. */
const USUAL_PAN = { gn: "1/1", depth_mm: 100 } as const;

/**
 * What a stage is, by its kind.
 *
 * @param field of the stage, for what is refused
 * @param sides of the food where it is a piece: it is heated by what it lies in
 * @throws {Refusal} naming what is missing
 */
export function readStage(asked: StageAsked, field: string, sides: PieceSides | undefined): Stage {
	const { kind, minutes, stirEvery_min } = asked;
	const of = { kind, minutes, ...(stirEvery_min ? { stirEvery_min } : {}) };
	const need = <Value>(value: Value | undefined, name: string): Value => {
		if (value === undefined) throw refuse(`${field}.${name}`, `is missing; “${kind}” needs it`);
		return value;
	};
	switch (kind) {
		case "stand":
		case "store":
		case "hold":
			return stands(of, need(asked.C, "C"), asked.film_W_per_m2K);
		case "chill":
			return cools(of, need(asked.medium, "medium"), need(asked.medium_C, "medium_C"));
		case "carry": {
			const UA_W_per_K = need(asked.UA_W_per_K, "UA_W_per_K");
			return travelsIn(
				of,
				{ UA_W_per_K, mass_kg: need(asked.mass_kg, "mass_kg") },
				need(asked.air_C, "air_C"),
			);
		}
		case "heat":
		case "reheat":
			need(asked.heat, "heat");
			return heated(of, asked, field, sides);
	}
}

function heated(
	of: Pick<Stage, "kind" | "minutes">,
	asked: StageAsked,
	field: string,
	sides: PieceSides | undefined,
): Stage {
	const heat = readHeat(asked.heat as NonNullable<StageAsked["heat"]>);
	const { lid = "lid", cut = USUAL_CUT, meat_kg, liquid_l, start } = asked;
	const pan = asked.pan ? readPan(asked.pan) : undefined;
	if (sides && pan && meat_kg !== undefined && liquid_l !== undefined) {
		const from = { meat_C: start?.meat_C ?? COLD_C, liquid_C: start?.liquid_C ?? COLD_C };
		return braises(of, { cut, sides, pan, lid, heat, meat_kg, liquid_l, start: from });
	}
	if (sides) return simmers(of, heat);
	if (!pan && !isAround(heat)) {
		throw refuse(`${field}.pan`, "is missing; what a flame heats depends on its floor");
	}
	return heats(of, heat, lid, pan ?? USUAL_PAN);
}
