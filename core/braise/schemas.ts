import { Type } from "@sinclair/typebox";
import { Celsius, Kilograms, Litres, Loss, Millimetres, Minutes, oneOf } from "../check/index.ts";
import { CUTS } from "../trade/index.ts";
import { LID_LETS_OUT } from "./heatConstants.ts";

const SetTo = Type.Number({ minimum: 30, maximum: 300, allowed: "a temperature from 30 to 300 °C" });
const LIDS = Object.keys(LID_LETS_OUT) as (keyof typeof LID_LETS_OUT)[];

/** One pan asked from outside; the pan's own shape is checked by its kind. */
export const BraiseAsked = Type.Object({
	cut: oneOf(CUTS),
	shape: oneOf(["slab", "cylinder", "ball"] as const),
	thickness_mm: Millimetres,
	meat_kg: Kilograms,
	liquid_l: Litres,
	pan: Type.Object({}, { additionalProperties: true, allowed: "an object" }),
	lid: oneOf(LIDS),
	heat: Type.Object({
		kind: oneOf(["stillOven", "fanOven", "waterBath", "pressure", "slowCooker", "hob"] as const),
		set_C: Type.Optional(SetTo),
		simmer: Type.Optional(Type.Boolean()),
	}),
	start: Type.Object({ meat_C: Celsius, liquid_C: Celsius }),
	cookingLoss: Type.Optional(Loss),
	lids: Type.Optional(Type.Array(Type.Object({ at_min: Minutes, lid: oneOf(LIDS) }), { maxItems: 10 })),
	doors: Type.Optional(
		Type.Array(
			Type.Object({
				at_min: Minutes,
				drop_C: Type.Number({ minimum: 0, maximum: 200, allowed: "a fall from 0 to 200 °C" }),
			}),
			{ maxItems: 100 },
		),
	),
	resets: Type.Optional(Type.Array(Type.Object({ at_min: Minutes, set_C: SetTo }), { maxItems: 10 })),
	vegetables_kg: Type.Optional(
		Type.Number({ minimum: 0, maximum: 500, allowed: "a weight from 0 to 500 kg" }),
	),
	oven: Type.Optional(
		Type.Object({
			power_kW: Type.Number({ exclusiveMinimum: 0, maximum: 100, allowed: "a power up to 100 kW" }),
			pans: Type.Integer({ minimum: 1, maximum: 100, allowed: "a whole number of pans from 1 to 100" }),
		}),
	),
});
