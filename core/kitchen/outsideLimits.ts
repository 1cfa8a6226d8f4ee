import type { TSchema } from "@sinclair/typebox";
import { checked, Refusal } from "../check/index.ts";
import { OvenEntry, type OvenFields } from "./ovenEntry.ts";
import { PanEntry, type PanFields } from "./panEntry.ts";

/** What of a kept pan the limits of today do not allow; null when it holds. It is shown, and not planned with. */
export function panOutsideLimits({ heat_w, lowMark_ml, highMark_ml, ...sizes }: PanFields): string | null {
	const asTyped = {
		...sizes,
		heat_kW: heat_w === null ? null : heat_w / 1000,
		low_l: lowMark_ml === null ? null : lowMark_ml / 1000,
		high_l: highMark_ml === null ? null : highMark_ml / 1000,
	};
	return outside(PanEntry, asTyped);
}

/** The same of an oven. */
export function ovenOutsideLimits({ power_w, ...oven }: OvenFields): string | null {
	const found = outside(OvenEntry, { ...oven, power_kW: power_w === null ? null : power_w / 1000 });
	if (found) return found;
	return oven.min_C > oven.max_C ? "its coolest is above its hottest" : null;
}

function outside(schema: TSchema, row: Readonly<Record<string, unknown>>): string | null {
	const given = Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null));
	try {
		checked(schema, given);
		return null;
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return error.message;
	}
}
