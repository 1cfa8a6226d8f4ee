import { chakra } from "@chakra-ui/react/styled-system";
import type { Typed } from "./form.ts";

export const Ticks = chakra("fieldset", {
	base: {
		display: "grid",
		gap: "2px 12px",
		gridTemplateColumns: "repeat(auto-fill, minmax(120px, 1fr))",
		"& legend": { color: "muted", marginBottom: "4px" },
		"& label": { display: "flex", gap: "8px", alignItems: "center", minHeight: { base: "44px", md: "32px" } },
		"& input": { width: { base: "26px", md: "20px" }, height: { base: "26px", md: "20px" } },
	},
});

interface TickBoxesProps {
	readonly legend: string;
	readonly of: string;
	readonly names: readonly string[];
	readonly words: Readonly<Record<string, string>>;
	readonly typed: Typed;
}

/** Boxes of one group, each named `GROUP.NAME`. */
export function TickBoxes({ legend, of: group, names, words, typed }: TickBoxesProps) {
	return (
		<Ticks>
			<legend>{legend}</legend>
			{names.map((name) => (
				<label key={name}>
					<input
						type="checkbox"
						name={`${group}.${name}`}
						defaultChecked={typed[`${group}.${name}`] === "on"}
						aria-label={`${legend}: ${words[name]}`}
					/>
					{words[name]}
				</label>
			))}
		</Ticks>
	);
}
