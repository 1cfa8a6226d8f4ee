import { chakra } from "@chakra-ui/react/styled-system";
import { useNavigation } from "react-router";

const Line = chakra("div", {
	base: {
		position: "fixed",
		insetInline: 0,
		top: 0,
		height: "4px",
		bg: "next",
		transformOrigin: "left",
		zIndex: 10,
		transition: "transform 1.2s ease-out, opacity .15s .15s",
	},
});

/** A line along the top while the next page is on its way; short waits do not show it. */
export function Busy() {
	const waiting = useNavigation().state !== "idle";
	return (
		<Line
			role="presentation"
			className="screenOnly"
			style={{ transform: `scaleX(${waiting ? 0.85 : 0})`, opacity: waiting ? 1 : 0 }}
		/>
	);
}
