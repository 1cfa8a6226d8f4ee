import type { Page } from "@playwright/test";
import { IN_PAGE } from "./inPage.ts";

/** Text in drawings is at least so large as it is shown, px. */
const LEAST_PX = 14;
/** Handles, selection and lines of drawings stand out at least so much. */
const LEAST_CONTRAST = 3;

/** What of a screen cannot be read from where one stands, each with the words it is about. */
export interface ScreenFaults {
	readonly small: readonly string[];
	readonly struck: readonly string[];
	readonly clipped: readonly string[];
	readonly faint: readonly string[];
}

/** What was measured, so that a screen without a drawing is not taken for a good one. */
export interface Measured {
	readonly texts: number;
	readonly contrasts: number;
}

interface Found extends Omit<ScreenFaults, "faint"> {
	readonly texts: number;
	readonly contrasts: readonly { readonly name: string; readonly is: number }[];
}

/** Measures the screen that is open: what is shown, in its own pixels. */
export async function screenFaults(page: Page): Promise<ScreenFaults & Measured> {
	const { texts, contrasts, ...found } = await page.evaluate<Found>(
		`(() => {
			${IN_PAGE}
			return {
				texts: drawnTexts().length,
				small: smallTexts(${LEAST_PX}),
				struck: struckTexts(),
				clipped: clippedTexts(),
				contrasts: [...drawnContrasts(), ...selectedContrasts()],
			};
		})()`,
	);
	const faint = contrasts
		.filter(({ is }) => is < LEAST_CONTRAST)
		.map(({ name, is }) => `${name} (${is.toFixed(2)} : 1)`);
	return { ...found, faint: [...new Set(faint)], texts, contrasts: contrasts.length };
}
