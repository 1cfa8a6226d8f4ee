import fc from "fast-check";
import { GASTRONORM_DEPTHS_MM, GASTRONORM_SIZES, type PanShape, type Piece } from "./index.ts";

/** Pans, pieces and gaps as kitchens have them, for laws that hold for all of them. */

export const mm = (min: number, max: number) => fc.integer({ min, max });

const measured: fc.Arbitrary<PanShape> = fc
	.record({
		outline: fc.constantFrom("box" as const, "round" as const),
		length_mm: mm(150, 700),
		width_mm: mm(150, 500),
		depth_mm: mm(60, 250),
		floor: fc.double({ min: 0.8, max: 1, noNaN: true }),
	})
	.map(({ outline, length_mm, width_mm, depth_mm, floor }) => {
		const rim_mm2 = length_mm * width_mm;
		// A pan whose area grows from its floor to its rim, measured without an error.
		const litres = (height: number) =>
			(rim_mm2 * (floor * height + ((1 - floor) * height * height) / (2 * depth_mm))) / 1e6;
		const mark = (height_mm: number) => ({ height_mm, litres: litres(height_mm) });
		return {
			measured: {
				outline,
				length_mm,
				width_mm,
				depth_mm,
				low: mark(depth_mm * 0.3),
				high: mark(depth_mm * 0.8),
			},
		};
	});

export const panShapes: fc.Arbitrary<PanShape> = fc.oneof(
	fc.record({ gn: fc.constantFrom(...GASTRONORM_SIZES), depth_mm: fc.constantFrom(...GASTRONORM_DEPTHS_MM) }),
	fc.record({ round: fc.record({ diameter_mm: mm(150, 700), height_mm: mm(50, 300) }) }),
	fc.record({ box: fc.record({ length_mm: mm(120, 800), width_mm: mm(120, 600), depth_mm: mm(50, 250) }) }),
	measured,
);

export const panPieces: fc.Arbitrary<Piece> = fc.oneof(
	fc.record({
		shape: fc.constant("block" as const),
		length_mm: mm(20, 200),
		width_mm: mm(20, 150),
		height_mm: mm(15, 90),
		weight_g: mm(20, 1500),
	}),
	fc.record({
		shape: fc.constant("cylinder" as const),
		length_mm: mm(30, 200),
		diameter_mm: mm(20, 90),
		weight_g: mm(20, 1500),
	}),
	fc.record({ shape: fc.constant("ball" as const), diameter_mm: mm(15, 90), weight_g: mm(10, 900) }),
);

export const pieceGaps = mm(0, 30);
