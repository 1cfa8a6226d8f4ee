import { flushSync } from "react-dom";

/**
 * Makes a change and has the cursor in the text of a line or step before the next key is
 * read, so that nothing typed fast lands in the line before.
 */
export function changeAndFocus(change: () => void, key: string | undefined): void {
	flushSync(change);
	if (key === undefined) return;
	const text = document.getElementById(`text-${key}`);
	// What is folded cannot be written in.
	const fold = text?.closest("details");
	if (fold) fold.open = true;
	text?.focus();
}
