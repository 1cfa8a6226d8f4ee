import { type Static, Type } from "@sinclair/typebox";
import { Kilowatts, Litres, Millimetres, oneOf } from "../check/index.ts";

export const THICKENERS = ["starch", "roux", "kneadedButter"] as const;
export type Thickener = (typeof THICKENERS)[number];

/** What is boiled down, in which pot, with how much heat reaching it. */
export const Reduction = Type.Object({
	start_l: Litres,
	target_l: Litres,
	pot: Type.Object({ diameter_mm: Millimetres }),
	/** Net: what reaches the liquid, not what the burner is sold as. */
	power_kW: Kilowatts,
	salt_pct: Type.Optional(Type.Number({ minimum: 0, maximum: 30, allowed: "a percentage from 0 to 30" })),
});
export type Reduction = Static<typeof Reduction>;

export const Thickening = Type.Object({
	sauce_l: Litres,
	method: oneOf(THICKENERS),
	/** Flour that stuck to the meat, g. */
	dredged_g: Type.Optional(Type.Number({ minimum: 0, maximum: 1_000_000, allowed: "a weight from 0 g" })),
});
export type Thickening = Static<typeof Thickening>;
