import { newProgress } from "#server";

/** What is being done at this moment and somebody waits for, by the name it was given. */
const underWay = new Map<string, Int32Array>();

/** Where the thread that does it writes how far it is. */
export function progressOf(name: string): Int32Array {
	const progress = newProgress();
	underWay.set(name, progress);
	return progress;
}

export function endProgress(name: string): void {
	underWay.delete(name);
}

/** How far it is; null when it is not being done. */
export function progressShown(name: string): { readonly done: number; readonly all: number } | null {
	const progress = underWay.get(name);
	return progress ? { done: progress[0] ?? 0, all: progress[1] ?? 0 } : null;
}
