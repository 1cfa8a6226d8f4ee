import { newProgress } from "#server";

/** Files that are being taken in at this moment, by the id they are held under. */
const taking = new Map<string, Int32Array>();

/** Where the thread that takes a file in writes how far it is. */
export function progressOf(id: string): Int32Array {
	const progress = newProgress();
	taking.set(id, progress);
	return progress;
}

export function endProgress(id: string): void {
	taking.delete(id);
}

/** How far a file is taken in; null when it is not being taken in. */
export function progressShown(id: string): { readonly done: number; readonly all: number } | null {
	const progress = taking.get(id);
	return progress ? { done: progress[0] ?? 0, all: progress[1] ?? 0 } : null;
}
