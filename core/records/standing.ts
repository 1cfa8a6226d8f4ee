import { ofKind, type RecordEntry } from "./entries.ts";

/**
 * A record as it stands: what was struck out is left out, and what should have been written is read
 * in place of what was. A correction that was itself struck out changes nothing.
 */
export function asItStands(entries: readonly RecordEntry[]): RecordEntry[] {
	const struck = new Set<number>();
	// What was written last decides first: it may strike out what struck out another.
	for (const { number, doc } of ofKind(entries, "correction").reverse())
		if (doc.of === "entry" && !struck.has(number)) struck.add(doc.number);
	const instead = new Map(
		ofKind(entries, "instead").flatMap(({ number, doc }) => (struck.has(number) ? [] : [[doc.of, doc.doc]])),
	);
	return entries.flatMap((entry) => {
		if (struck.has(entry.number)) return [];
		const doc = instead.get(entry.number);
		return [doc?.kind === entry.doc.kind ? ({ ...entry, doc } as RecordEntry) : entry];
	});
}
