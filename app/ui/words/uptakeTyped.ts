import type { SittingDish } from "#core/sitting";
import { counted, percentTyped } from "./reading.ts";

/** Who takes a dish, as it is typed: "62" per cent, "110 guests", "the rest". */
export function uptakeTyped({ uptake, share }: Pick<SittingDish, "uptake" | "share">): string {
	if (share === null) return percentTyped(uptake);
	return share.by === "rest" ? "the rest" : counted(share.guests, "guest");
}
