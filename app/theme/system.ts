import { defaultBaseConfig } from "@chakra-ui/react/preset-base";
import { createSystem, defineConfig, defineGlobalStyles } from "@chakra-ui/react/styled-system";

/** By day on the bench, and by evening service. */
const light = (bench: string, evening: string) => ({ value: { _light: bench, _dark: evening } });

/**
 * Stainless, blue tape, mahogany. Colours are named after what they stand for; the
 * temperature scale is used for temperature and nothing else.
 */
const config = defineConfig({
	cssVarsPrefix: "wt",
	preflight: true,
	conditions: {
		light: ":root &, [data-light=bench] &",
		dark: "[data-light=evening] &",
		print: "@media print",
	},
	globalCss: defineGlobalStyles({
		"*, *::before, *::after": {
			boxSizing: "border-box",
			"@media (prefers-reduced-motion: reduce)": {
				transition: "none !important",
				animation: "none !important",
			},
		},
		"html, body": { margin: 0, padding: 0, _print: { bg: "white", color: "black" } },
		html: { bg: "bench", color: "ink", textSizeAdjust: "100%" },
		"html[data-light=evening]": { colorScheme: "dark" },
		body: {
			fontFamily: "text",
			fontSize: "16px",
			lineHeight: 1.4,
			fontVariantNumeric: "tabular-nums",
			minHeight: "100vh",
		},
		"h1, h2, h3, p, ul, ol, dl, dd, figure, fieldset": { margin: 0, padding: 0, border: 0 },
		"ul, ol": { listStyle: "none" },
		a: {
			color: "inherit",
			textDecoration: "underline",
			textDecorationThickness: "1px",
			textUnderlineOffset: "3px",
		},
		"button, input, select, textarea": { font: "inherit", color: "inherit", letterSpacing: "inherit" },
		"input[type=checkbox], input[type=radio]": { flexShrink: 0 },
		":focus-visible": { outline: "3px solid", outlineColor: "focus", outlineOffset: "2px" },
		table: { borderCollapse: "collapse", width: "100%" },
		th: { textAlign: "start", fontWeight: 500 },
		svg: { display: "block", maxWidth: "100%" },
		/** Folded ▸, open ▾: one look for all that folds. */
		summary: {
			listStyle: "none",
			display: "flex",
			alignItems: "center",
			gap: "8px",
			minHeight: "44px",
			width: "fit-content",
			cursor: "pointer",
			fontWeight: 650,
			fontSize: "17px",
			"&::-webkit-details-marker": { display: "none" },
			"&::before": { content: '"▸"', width: "12px", flex: "none" },
		},
		"details[open] > summary::before": { content: '"▾"' },
		del: { textDecorationThickness: "1.5px" },
		".screenOnly": { _print: { display: "none !important" } },
	}),
	theme: {
		breakpoints: { sm: "480px", md: "768px", lg: "1100px", xl: "1280px" },
		tokens: {
			fonts: {
				text: { value: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
				head: { value: "'Bricolage Grotesque Variable', 'Atkinson Hyperlegible Next Variable', sans-serif" },
			},
			spacing: Object.fromEntries(
				[0, 1, 2, 3, 4, 5, 6, 8, 10, 12, 16, 20].map((step) => [step, { value: `${step * 4}px` }]),
			),
		},
		semanticTokens: {
			colors: {
				bench: light("#dfe4e7", "#11171b"),
				bar: light("#f3f5f6", "#182025"),
				steel: light("#c9d1d6", "#303b43"),
				sheet: light("#ffffff", "#1b2329"),
				raised: light("#ffffff", "#2d3a44"),
				place: light("#eef1f3", "#222c33"),
				ink: light("#14212b", "#eef2f4"),
				muted: light("#465661", "#b2bec6"),
				hair: light("#c3ccd2", "#394650"),
				edge: light("#74828c", "#80909b"),
				tape: light("#8fbde6", "#7fb0dd"),
				tapeInk: light("#0d2236", "#0b1c2d"),
				mahogany: light("#6d2717", "#8a3622"),
				onMahogany: light("#ffffff", "#ffffff"),
				next: light("#6d2717", "#f0ad99"),
				note: light("#f6eeeb", "#35241f"),
				focus: light("#0f4f9e", "#9accff"),
				meat: light("#8a4a37", "#a45e48"),
				meatEdge: light("#5c2e21", "#d8a08c"),
				broth: light("#d9b07a", "#b88a4f"),
				bed: light("#a8b48a", "#7d8b5e"),
				bone: light("#efe7d6", "#ded3ba"),
				brothInk: light("#14212b", "#14212b"),
				pan: light("#5f6e78", "#9dadb8"),
				panFloor: light("#d5dce0", "#37434b"),
			},
		},
	},
});

export const system = createSystem(defaultBaseConfig, config);
