import { Act, Key } from "../ui/parts.tsx";

/** Opens the browser's own print dialog. */
export function PrintButton() {
	return (
		<Act kind="next" type="button" onClick={() => window.print()} aria-keyshortcuts="p">
			Print <Key aria-hidden>p</Key>
		</Act>
	);
}
