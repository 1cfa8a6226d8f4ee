import { chakra, defineRecipe } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";

/** The plain parts every screen is made of. */

export const Page = chakra("main", {
	base: {
		maxWidth: "1280px",
		marginInline: "auto",
		padding: { base: "16px 14px 40px", md: "20px 24px 48px" },
	},
});

/** A white working sheet on the bench. */
export const Sheet = chakra("section", {
	base: { bg: "sheet", padding: { base: "14px", md: "16px 20px 18px" } },
});

export const Title = chakra("h1", {
	base: {
		fontFamily: "head",
		fontWeight: 700,
		fontSize: { base: "26px", md: "30px" },
		lineHeight: 1.1,
		letterSpacing: "-.01em",
	},
});

export const Heading = chakra("h2", {
	base: { fontFamily: "head", fontWeight: 700, fontSize: "21px", lineHeight: 1.15 },
});

/** The one figure of a screen or a place. */
export const Figure = chakra("b", {
	base: { fontFamily: "head", fontWeight: 700, lineHeight: 1.08 },
	variants: {
		size: {
			giant: { fontSize: { base: "34px", md: "44px" }, letterSpacing: "-.015em" },
			large: { fontSize: { base: "25px", md: "28px" } },
			medium: { fontSize: "22px" },
			narrow: { fontSize: "20px", fontStretch: "80%" },
		},
	},
	defaultVariants: { size: "medium" },
});

export const Muted = chakra("span", { base: { color: "muted" } });

const act = defineRecipe({
	base: {
		display: "inline-flex",
		alignItems: "center",
		gap: "8px",
		minHeight: "44px",
		padding: "8px 16px",
		border: "2px solid",
		cursor: "pointer",
		fontFamily: "head",
		fontWeight: 650,
		fontSize: "17px",
		lineHeight: 1.15,
		textDecoration: "none",
		_disabled: { opacity: 0.55, cursor: "default" },
	},
	variants: {
		kind: {
			next: {
				bg: "mahogany",
				borderColor: "mahogany",
				color: "onMahogany",
				_hover: { filter: "brightness(1.18)" },
			},
			plain: { bg: "sheet", borderColor: "edge", color: "ink", _hover: { borderColor: "ink" } },
			quiet: {
				bg: "transparent",
				borderColor: "transparent",
				color: "ink",
				textDecoration: "underline",
				textDecorationThickness: "1px",
				textUnderlineOffset: "3px",
				paddingInline: "6px",
				whiteSpace: "nowrap",
			},
		},
	},
	defaultVariants: { kind: "plain" },
});

/** What can be done: `next` is the one strong colour, for what to do next. */
export const Act = chakra("button", act);
export const ActLink = chakra(Link, act);

/** A warning or a note: a mahogany edge and words, never colour alone. */
export const Note = chakra("div", {
	base: { borderLeft: "6px solid", borderColor: "mahogany", bg: "note", padding: "8px 14px" },
});

export const Hidden = chakra("span", {
	base: {
		position: "absolute",
		width: "1px",
		height: "1px",
		overflow: "hidden",
		clipPath: "inset(50%)",
		whiteSpace: "nowrap",
	},
});

/** A short key shown beside its action; at the desk, where there are keys and room for them. */
export const Key = chakra("kbd", {
	base: {
		display: { base: "none", lg: "inline-block" },
		fontFamily: "text",
		fontSize: "14px",
		lineHeight: 1,
		padding: "3px 6px",
		border: "1px solid",
		borderColor: "currentColor",
		opacity: 0.85,
		fontWeight: 500,
		"[data-short-keys=off] &": { display: "none" },
	},
});

const THUMB = {
	width: "24px",
	height: "36px",
	background: "{colors.ink}",
	border: 0,
	borderRadius: 0,
} as const;
const TRACK = { height: "4px", background: "{colors.edge}" } as const;

/** The one slider: a line with a grip of ink, easy to take hold of. */
export const Slider = chakra("input", {
	base: {
		display: "block",
		appearance: "none",
		background: "transparent",
		minHeight: "44px",
		cursor: "ew-resize",
		"&::-webkit-slider-runnable-track": TRACK,
		"&::-moz-range-track": TRACK,
		"&::-webkit-slider-thumb": { ...THUMB, appearance: "none", marginTop: "-16px" },
		"&::-moz-range-thumb": THUMB,
	},
});

export const Table = chakra("table", {
	base: {
		"& th": {
			color: "muted",
			paddingBlock: "6px",
			paddingInlineEnd: "14px",
			borderBottom: "2px solid",
			borderColor: "steel",
			verticalAlign: "bottom",
		},
		"& td": {
			paddingBlock: "8px",
			paddingInlineEnd: "14px",
			borderBottom: "1px solid",
			borderColor: "hair",
			verticalAlign: "top",
		},
		"& :is(th, td):last-child": { paddingInlineEnd: 0 },
		"& .number": { textAlign: "end", whiteSpace: "nowrap" },
	},
});
