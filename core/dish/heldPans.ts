import type { PanChoice } from "../pans/index.ts";
import { countByType } from "./countByType.ts";

/** Pans of one kind that a dish has. */
export interface HeldPans {
	readonly dish: string;
	readonly count: number;
}

/** Who has pans, by the id of their kind. */
export type PansElsewhere = ReadonlyMap<string, readonly HeldPans[]>;

/** What dishes hold of each kind of pan, in the order in which they are given. */
export function heldPans(
	dishes: readonly { readonly dish: string; readonly pans: PanChoice }[],
): PansElsewhere {
	const held = new Map<string, HeldPans[]>();
	for (const { dish, pans } of dishes) {
		for (const { type, count } of countByType(pans)) {
			held.set(type.id, [...(held.get(type.id) ?? []), { dish, count }]);
		}
	}
	return held;
}

export const pansHeld = (held: readonly HeldPans[]): number =>
	held.reduce((sum, { count }) => sum + count, 0);
