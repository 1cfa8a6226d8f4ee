import { ofKind, type RecordEntry } from "./entries.ts";

/** What counts of a record: entries that were struck out by a correction do not. */
export function withoutStruck(entries: readonly RecordEntry[]): RecordEntry[] {
	const struck = new Set(
		ofKind(entries, "correction").flatMap(({ doc }) => (doc.of === "entry" ? [doc.number] : [])),
	);
	return entries.filter(({ number }) => !struck.has(number));
}
