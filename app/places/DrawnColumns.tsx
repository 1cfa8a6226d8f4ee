import { chakra } from "@chakra-ui/react/styled-system";
import type { ReactNode } from "react";

const Columns = chakra("div", {
	base: {
		display: "grid",
		gap: "18px 32px",
		gridTemplateColumns: { base: "minmax(0,1fr)", lg: "minmax(0, 20fr) minmax(0, 31fr)" },
	},
});

/** The answer of a place beside its drawing. */
export function DrawnColumns({
	answer,
	drawing,
}: {
	readonly answer: ReactNode;
	readonly drawing: ReactNode;
}) {
	return (
		<Columns>
			<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
				{answer}
			</chakra.div>
			<chakra.div display="grid" gap="12px" alignContent="start" minWidth="0">
				{drawing}
			</chakra.div>
		</Columns>
	);
}
