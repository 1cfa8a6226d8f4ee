import { flushSync } from "react-dom";

/**
 * Makes a change and has the cursor in the text of a line or step before the next key is
 * read, so that nothing typed fast lands in the line before.
 */
export function changeAndFocus(change: () => void, key: string | undefined): void {
	flushSync(change);
	if (key !== undefined) document.getElementById(`text-${key}`)?.focus();
}
