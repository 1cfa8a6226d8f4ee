import type { PanChoice, PanType } from "../pans/index.ts";

/** Pans chosen, counted by kind. */
export function countByType({ pans }: Pick<PanChoice, "pans">): { type: PanType; count: number }[] {
	const counts = new Map<string, { type: PanType; count: number }>();
	for (const { type } of pans) {
		const counted = counts.get(type.id);
		counts.set(type.id, { type, count: (counted?.count ?? 0) + 1 });
	}
	return [...counts.values()];
}
