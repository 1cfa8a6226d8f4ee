import { Type } from "@sinclair/typebox";

/** A whole number between two limits, both allowed. */
export const wholeTo = (least: number, most: number, unit: string) =>
	Type.Integer({
		minimum: least,
		maximum: most,
		allowed: `a whole number from ${least} to ${most} ${unit}`.trim(),
	});
