import { chakra } from "@chakra-ui/react/styled-system";
import { Figure } from "./parts.tsx";

/** A figure and what it is. */
export interface Fact {
	readonly figure: string;
	readonly label: string;
}

/** Figures in a row, each over its label. */
export function Facts({
	facts,
	fontSize = "20px",
}: {
	readonly facts: readonly Fact[];
	readonly fontSize?: string;
}) {
	return (
		<chakra.dl display="flex" flexWrap="wrap" gap="10px 26px">
			{facts.map(({ figure, label }) => (
				<chakra.div key={label} display="flex" flexDirection="column-reverse">
					<chakra.dt color="muted">{label}</chakra.dt>
					<dd>
						<Figure fontSize={fontSize}>{figure}</Figure>
					</dd>
				</chakra.div>
			))}
		</chakra.dl>
	);
}
