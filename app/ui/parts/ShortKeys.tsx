import { useEffect } from "react";

/** Every action names its own key in `aria-keyshortcuts`; this is all that listens. */
export function ShortKeys({ on }: { readonly on: boolean }) {
	useEffect(() => {
		if (!on) return;
		const listen = (event: KeyboardEvent) => {
			if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
			if (isTyping(event.target) || document.querySelector("dialog[open]")) return;
			const action = actionsHere().find((control) => control.getAttribute("aria-keyshortcuts") === event.key);
			if (!action) return;
			event.preventDefault();
			if (action.matches("input, select, textarea")) action.focus();
			else action.click();
		};
		document.addEventListener("keydown", listen);
		return () => document.removeEventListener("keydown", listen);
	}, [on]);
	return null;
}

function isTyping(target: EventTarget | null): boolean {
	return (
		target instanceof HTMLElement && target.matches("input:not([type=radio], [type=range]), textarea, select")
	);
}

/** The actions on this page that have a key and can be seen. */
export function actionsHere(): HTMLElement[] {
	return [...document.querySelectorAll<HTMLElement>("[aria-keyshortcuts]")].filter(
		(element) => element.getClientRects().length > 0,
	);
}
