import { ALLERGEN_NAMES, ALLERGENS } from "#core/recipe";
import { Muted } from "../parts/parts.tsx";
import type { Typed } from "./form.ts";
import { TickBoxes, Ticks } from "./TickBoxes.tsx";

interface AllergenTicksProps {
	/** The box that says whether they are told at all. */
	readonly name: string;
	readonly label: string;
	/** What holds until it is ticked; empty where nothing has to be said. */
	readonly until?: string;
	readonly typed: Typed;
}

/** What somebody says of allergens: whether they are told, what it contains, and what it may contain. */
export function AllergenTicks({ name, label, until = "", typed }: AllergenTicksProps) {
	const boxes = { names: ALLERGEN_NAMES, words: ALLERGENS, typed };
	return (
		<>
			<Ticks gridTemplateColumns="minmax(0,1fr)">
				<label>
					<input type="checkbox" name={name} defaultChecked={typed[name] === "on"} />
					{label}
				</label>
				{until ? <Muted>{until}</Muted> : null}
			</Ticks>
			<TickBoxes legend="Contains" of="contains" {...boxes} />
			<TickBoxes legend="May contain traces of" of="may" {...boxes} />
		</>
	);
}
