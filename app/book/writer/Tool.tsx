import { chakra } from "@chakra-ui/react/styled-system";

/** A small button beside a line or a step. */
export const Tool = chakra("button", {
	base: {
		bg: "transparent",
		border: "1px solid",
		borderColor: "edge",
		minWidth: "44px",
		minHeight: "44px",
		cursor: "pointer",
		color: "ink",
		fontSize: "16px",
		lineHeight: 1,
		_hover: { color: "ink", borderColor: "ink" },
		_disabled: { opacity: 0.4, cursor: "default" },
	},
});
