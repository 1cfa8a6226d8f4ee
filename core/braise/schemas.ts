import { Type } from "@sinclair/typebox";
import { Kilograms, Kilowatts, Litres, Loss, Minutes, oneOf } from "../check/index.ts";
import { HEAT_KINDS, PIECE_FORMS } from "../heat/index.ts";
import { CUTS, LID_KEYS } from "../trade/index.ts";

const SetTo = Type.Number({ minimum: 30, maximum: 300, allowed: "a temperature from 30 to 300 °C" });

/** A side of a piece of meat: nothing that is braised is thinner or longer. */
const Side = Type.Number({ minimum: 5, maximum: 1000, allowed: "a side from 5 to 1,000 mm" });
const Thickness = Type.Number({ minimum: 5, maximum: 400, allowed: "a thickness from 5 to 400 mm" });

const Weight = Type.Number({
	exclusiveMinimum: 0,
	maximum: 500,
	allowed: "a weight above 0 and up to 500 kg",
});

/** Meat goes in thawed, and not cooked already. */
const MeatStart = Type.Number({
	minimum: -1,
	maximum: 70,
	allowed: "a temperature from −1 to 70 °C (a frozen piece is thawed first)",
});
const LiquidStart = Type.Number({ minimum: 0, maximum: 100, allowed: "a temperature from 0 to 100 °C" });
const Share = Type.Number({ minimum: 0, maximum: 1, allowed: "a share from 0 to 1" });

const few = { maxItems: 100, allowed: "a list of at most 100" };

/** What heats it, as it is asked from outside. */
export const HeatAsked = Type.Object({
	kind: oneOf(HEAT_KINDS),
	set_C: Type.Optional(SetTo),
	simmer: Type.Optional(Type.Boolean()),
});

/** One pan asked from outside; the pan's own shape is checked by its kind. */
export const BraiseAsked = Type.Object({
	cut: oneOf(CUTS),
	/** The sides of one piece; or its form and thickness alone. */
	piece: Type.Optional(
		Type.Object({
			length_mm: Type.Optional(Side),
			width_mm: Type.Optional(Side),
			height_mm: Type.Optional(Side),
			diameter_mm: Type.Optional(Side),
		}),
	),
	shape: Type.Optional(oneOf(PIECE_FORMS)),
	thickness_mm: Type.Optional(Thickness),
	meat_kg: Kilograms,
	boneShare: Type.Optional(Loss),
	liquid_l: Litres,
	pan: Type.Object({}, { additionalProperties: true, allowed: "an object" }),
	lid: oneOf(LID_KEYS),
	heat: HeatAsked,
	start: Type.Object({ meat_C: MeatStart, liquid_C: LiquidStart }),
	cookingLoss: Type.Optional(Loss),
	altitude_m: Type.Optional(
		Type.Number({ minimum: -430, maximum: 5000, allowed: "a height from −430 to 5,000 m" }),
	),
	humidity: Type.Optional(Type.Number({ minimum: 0, maximum: 0.95, allowed: "a share from 0 to 0.95" })),
	lids: Type.Optional(Type.Array(Type.Object({ at_min: Minutes, lid: oneOf(LID_KEYS) }), few)),
	doors: Type.Optional(
		Type.Array(
			Type.Object({
				at_min: Minutes,
				drop_C: Type.Number({ minimum: 0, maximum: 200, allowed: "a fall from 0 to 200 °C" }),
			}),
			few,
		),
	),
	resets: Type.Optional(Type.Array(Type.Object({ at_min: Minutes, set_C: SetTo }), few)),
	additions: Type.Optional(
		Type.Array(
			Type.Object({
				at_min: Minutes,
				kg: Weight,
				C: Type.Number({ minimum: -1, maximum: 100, allowed: "a temperature from −1 to 100 °C" }),
				water: Type.Optional(Share),
				gives: Type.Optional(Share),
			}),
			few,
		),
	),
	vegetables_kg: Type.Optional(
		Type.Number({ minimum: 0, maximum: 500, allowed: "a weight from 0 to 500 kg" }),
	),
	oven: Type.Optional(
		Type.Object({
			power_kW: Kilowatts,
			pans: Type.Integer({ minimum: 1, maximum: 100, allowed: "a whole number of pans from 1 to 100" }),
		}),
	),
});
