import { groupBy } from "es-toolkit";
import type { ChosenPan, PanChoice, PanType } from "../pans/index.ts";

export interface PansOfKind {
	readonly type: PanType;
	readonly count: number;
}

/** Pans chosen, counted by kind: those that are had at once, however often they are filled. */
export function countByType({ pans }: Pick<PanChoice, "pans">): PansOfKind[] {
	return Object.values(groupBy(pans, ({ type }) => type.id)).map((alike) => ({
		type: (alike[0] as ChosenPan).type,
		count: Math.max(...Object.values(groupBy(alike, ({ go }) => go)).map(({ length }) => length)),
	}));
}
