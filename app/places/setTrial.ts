/** Sent to the scale control's form by a drawing that has put figures into it. */
export const TRIAL = "trial";

export function inputOf(name: string): HTMLInputElement | null {
	return document.querySelector<HTMLInputElement>(`#scale [name=${name}]:not([type=radio])`);
}

/** Puts figures into the scale control as if they had been typed there; the table follows. */
export function setTrial(figures: Readonly<Record<string, string>>): void {
	for (const [name, value] of Object.entries(figures)) {
		const radio = document.querySelector<HTMLInputElement>(
			`#scale [type=radio][name=${name}][value="${value}"]`,
		);
		if (radio) radio.checked = true;
		const input = inputOf(name);
		if (input) input.value = value;
	}
	const form = document.querySelector<HTMLFormElement>("#scale");
	// Before the control listens nobody answers, and the form sends itself.
	if (form?.dispatchEvent(new Event(TRIAL, { cancelable: true }))) form.requestSubmit();
}
