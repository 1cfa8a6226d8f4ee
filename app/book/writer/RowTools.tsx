import { chakra } from "@chakra-ui/react/styled-system";
import { Tool } from "./Tool.tsx";

interface RowToolsProps {
	readonly of: "line" | "step";
	/** Key of the line or step. */
	readonly rowKey: string;
	/** What it is called to those who cannot see it. */
	readonly name: string;
	readonly onMove: (by: -1 | 1) => void;
	readonly onRemove: () => void;
}

/** Up, down and away, for one line or step; without scripts the server does the same. */
export function RowTools({ of: what, rowKey, name, onMove, onRemove }: RowToolsProps) {
	const tools = [
		{ sign: "↑", words: "Up", intent: "moveUp", act: () => onMove(-1) },
		{ sign: "↓", words: "Down", intent: "moveDown", act: () => onMove(1) },
		{ sign: "×", words: "Remove", intent: "remove", act: onRemove },
	];
	return (
		<chakra.div display="flex" gap="2px">
			{tools.map(({ sign, words, intent, act }) => (
				<Tool
					key={intent}
					name="intent"
					value={`${intent}:${what}:${rowKey}`}
					aria-label={`${words}: ${name}`}
					onClick={(event) => {
						event.preventDefault();
						act();
					}}
				>
					{sign}
				</Tool>
			))}
		</chakra.div>
	);
}
