import type { Static } from "@sinclair/typebox";
import { BraiseAsked, type BraiseGiven, type Heat } from "../braise/index.ts";
import { checked, refuse } from "../check/index.ts";
import { readPan } from "./readPan.ts";

/**
 * One pan to be braised, from outside.
 *
 * @throws {Refusal} naming the field and what is allowed
 */
export function readBraise(given: unknown): BraiseGiven {
	const { heat, pan, ...asked } = checked(BraiseAsked, given);
	return { ...asked, pan: readPan(pan), heat: heatOf(heat) };
}

function heatOf({ kind, set_C, simmer = true }: Static<typeof BraiseAsked>["heat"]): Heat {
	if (kind === "hob") return { kind, simmer };
	if (set_C === undefined)
		throw refuse("heat.set_C", "is missing; a temperature from 30 to 300 °C is needed");
	return { kind, set_C };
}
