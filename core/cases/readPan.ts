import { type TSchema, Type } from "@sinclair/typebox";
import { checked, refuse } from "../check/index.ts";
import { BoxPan, checkMeasured, GastronormPan, MeasuredPan, type PanShape, RoundPan } from "../pans/index.ts";

/**
 * A pan's shape, from outside. Which pan is meant is told by its first word; then that one is
 * checked, so that the message is about it.
 *
 * @throws {Refusal} naming the field and what is allowed
 */
export function readPan(given: object): PanShape {
	const kinds: [string, TSchema][] = [
		["gn", GastronormPan],
		["round", RoundPan],
		["box", BoxPan],
		["measured", MeasuredPan],
	];
	const kind = kinds.find(([word]) => word in given);
	if (!kind)
		throw refuse("pan", "a pan given by gn and depth_mm, by round, by box or by measured is allowed");
	const { pan } = checked(Type.Object({ pan: kind[1] }), { pan: given });
	const shape = pan as PanShape;
	if ("measured" in shape) checkMeasured(shape.measured);
	return shape;
}
