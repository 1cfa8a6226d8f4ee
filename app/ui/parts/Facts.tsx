import { chakra } from "@chakra-ui/react/styled-system";
import { Figure } from "./parts.tsx";
import { type Shown, shownAs } from "./shown.ts";

/** A figure and what it is. */
export interface Fact {
	readonly figure: string;
	readonly label: string;
	/** What it is of a task or dish of the day, where it is one. */
	readonly shown?: Shown | null;
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
			{facts.map(({ figure, label, shown }) => (
				<chakra.div key={label} display="flex" flexDirection="column-reverse">
					<chakra.dt color="muted">{label}</chakra.dt>
					<dd>
						<Figure fontSize={fontSize} {...shownAs(shown)}>
							{figure}
						</Figure>
					</dd>
				</chakra.div>
			))}
		</chakra.dl>
	);
}
