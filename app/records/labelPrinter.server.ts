/** So long a printer may take to take a document, ms. */
const PATIENCE_MS = 5000;

/**
 * Sends a document to the house's label printer.
 *
 * @returns what is wrong, in a sentence; null where it was taken
 */
export async function printed(printer: string, pdf: Uint8Array, name: string): Promise<string | null> {
	try {
		const answer = await fetch(`${printer}/print?name=${encodeURIComponent(name)}`, {
			method: "POST",
			headers: { "content-type": "application/pdf" },
			body: Buffer.from(pdf),
			signal: AbortSignal.timeout(PATIENCE_MS),
		});
		if (answer.ok) return null;
		const { said }: { said?: unknown } = await answer.json().catch(() => ({}));
		return `The label printer did not take them: ${typeof said === "string" ? said : `it answers ${answer.status}`}. Print them as a document meanwhile.`;
	} catch {
		return `The label printer at ${printer} does not answer. See whether it is on; print them as a document meanwhile.`;
	}
}
