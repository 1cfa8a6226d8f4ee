import { chakra } from "@chakra-ui/react/styled-system";

/** Both ends torn by hand, so no two edges are straight. */
const TORN =
	"polygon(0 0,calc(100% - 5px) 0,100% 18%,calc(100% - 4px) 34%,100% 52%,calc(100% - 5px) 70%,100% 86%,calc(100% - 4px) 100%,4px 100%,0 84%,4px 66%,1px 48%,5px 30%,0 14%)";

/** A strip of blue tape with plain lettering: what a cook would label carries one. */
export const Tape = chakra("span", {
	base: {
		display: "inline-block",
		bg: "tape",
		color: "tapeInk",
		fontFamily: "head",
		fontWeight: 700,
		lineHeight: 1.1,
		clipPath: TORN,
		_print: { bg: "white", color: "black", clipPath: "none", border: "1.5px solid black" },
	},
	variants: {
		size: {
			large: { fontSize: { base: "20px", md: "24px" }, padding: "8px 24px 9px 18px" },
			small: { fontSize: "16px", fontWeight: 650, padding: "4px 13px 5px 10px" },
		},
	},
	defaultVariants: { size: "small" },
});
