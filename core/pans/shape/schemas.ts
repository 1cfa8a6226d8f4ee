import { type Static, Type } from "@sinclair/typebox";
import { Grams, Litres, Millimetres, MillimetresOrNone, oneOf } from "../../check/index.ts";
import { GASTRONORM_SIZES } from "./gastronorm.ts";

/** What crosses a border about pans, pieces and lines; the geometry itself needs only their types. */

export const GastronormPan = Type.Object({
	gn: oneOf(GASTRONORM_SIZES, { title: "Gastronorm size" }),
	depth_mm: Millimetres,
});
export const RoundPan = Type.Object({
	round: Type.Object({ diameter_mm: Millimetres, height_mm: Millimetres }),
});
/** Inside sizes, straight walls. */
export const BoxPan = Type.Object({
	box: Type.Object({ length_mm: Millimetres, width_mm: Millimetres, depth_mm: Millimetres }),
});

const WaterMark = Type.Object({ height_mm: Millimetres, litres: Litres });

/**
 * A pan the kitchen has measured: the inside of its rim, and the water it holds up to two
 * marks. From the two follows how much its walls lean.
 */
export const MeasuredPan = Type.Object({
	measured: Type.Object({
		outline: oneOf(["box", "round"] as const),
		length_mm: Millimetres,
		/** The same as the length where it is round. */
		width_mm: Millimetres,
		depth_mm: Millimetres,
		low: WaterMark,
		high: WaterMark,
	}),
});
export type MeasuredPan = Static<typeof MeasuredPan>;

export type PanShape =
	| Static<typeof GastronormPan>
	| Static<typeof RoundPan>
	| Static<typeof BoxPan>
	| Static<typeof MeasuredPan>;

export const Block = Type.Object({
	shape: Type.Literal("block"),
	length_mm: Millimetres,
	width_mm: Millimetres,
	height_mm: Millimetres,
	weight_g: Grams,
});
/** Lying on its side, or standing on its end. */
export const Cylinder = Type.Object({
	shape: Type.Literal("cylinder"),
	length_mm: Millimetres,
	diameter_mm: Millimetres,
	weight_g: Grams,
	standing: Type.Optional(Type.Boolean()),
});
export const Ball = Type.Object({
	shape: Type.Literal("ball"),
	diameter_mm: Millimetres,
	weight_g: Grams,
});

/** Tagged by `shape`, so that a refusal names the field that is wrong inside the one meant. */
export const Piece = Type.Unsafe<Static<typeof Block> | Static<typeof Cylinder> | Static<typeof Ball>>({
	type: "object",
	required: ["shape"],
	discriminator: { propertyName: "shape" },
	oneOf: [Block, Cylinder, Ball],
});
export type Piece = Static<typeof Piece>;

/** How deep, by school: a share of the piece, so far below its top, or so far over it. */
export const LineByShare = Type.Object(
	{
		share: Type.Number({
			exclusiveMinimum: 0,
			maximum: 1,
			allowed: "a share of the piece above 0 and up to 1",
		}),
	},
	{ additionalProperties: false },
);
export const LineBelowTop = Type.Object({ below_mm: MillimetresOrNone }, { additionalProperties: false });
export const LineOverTop = Type.Object({ over_mm: MillimetresOrNone }, { additionalProperties: false });

export type LiquidLine =
	| Static<typeof LineByShare>
	| Static<typeof LineBelowTop>
	| Static<typeof LineOverTop>;
