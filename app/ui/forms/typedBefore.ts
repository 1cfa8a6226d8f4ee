type Control = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** A file that was chosen stays chosen, and nobody else may choose one. */
const CONTROLS = "input:not([type=hidden]):not([type=file]), textarea, select";

/**
 * Keeps what is typed and chosen before the page's scripts have taken it over: taking over puts some
 * of it back to what it was, and hears of none of it.
 *
 * @returns puts it back in, once the page is taken over, so that everybody hears of it
 */
export function keepTypedBefore(page: Document): () => void {
	const typed = new Map<Control, string | boolean>();
	const look = (control: Control) => {
		const value = heldBy(control);
		if (value !== defaultOf(control)) typed.set(control, value);
		else typed.delete(control);
	};
	for (const control of page.querySelectorAll<Control>(CONTROLS)) {
		look(control);
		if (control instanceof HTMLTextAreaElement) leaveCursor(control);
	}
	const listen = ({ target }: Event) => {
		if (target instanceof Element && target.matches(CONTROLS)) look(target as Control);
	};
	page.addEventListener("input", listen, true);
	return () => {
		page.removeEventListener("input", listen, true);
		for (const [control, value] of typed) {
			if (control.isConnected) put(control, value);
		}
	};
}

/**
 * Taking over writes the default of a text of several lines anew, and the browser then drops what is
 * marked in it: unless a value was given to it before, be it its own.
 */
function leaveCursor(text: HTMLTextAreaElement): void {
	const { value } = text;
	text.value = value;
}

function isTicked(control: Control): control is HTMLInputElement {
	return control instanceof HTMLInputElement && (control.type === "checkbox" || control.type === "radio");
}

function heldBy(control: Control): string | boolean {
	return isTicked(control) ? control.checked : control.value;
}

function defaultOf(control: Control): string | boolean {
	if (isTicked(control)) return control.defaultChecked;
	if (!(control instanceof HTMLSelectElement)) return control.defaultValue;
	const options = [...control.options];
	return (options.find(({ defaultSelected }) => defaultSelected) ?? options[0])?.value ?? "";
}

/**
 * As whoever types it does. React compares with the last value that was given to the element itself,
 * so that one has to be another first.
 */
function put(control: Control, value: string | boolean): void {
	if (typeof value === "boolean") {
		if (isTicked(control)) control.checked = !value;
		control.click();
		return;
	}
	control.value = `${value} `;
	Object.getOwnPropertyDescriptor(Object.getPrototypeOf(control), "value")?.set?.call(control, value);
	control.dispatchEvent(new Event("input", { bubbles: true }));
	control.dispatchEvent(new Event("change", { bubbles: true }));
}
