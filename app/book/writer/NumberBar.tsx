import { chakra } from "@chakra-ui/react/styled-system";
import type { UnitSystem } from "#core/quantity";
import type { CardServes, Draft } from "#core/recipe";
import { Act, Muted } from "../../ui/parts/parts.tsx";
import { fieldWords } from "../../ui/words/fieldWords.ts";
import { measuresIn } from "../../ui/words/measures.ts";

const Bar = chakra("div", {
	base: {
		position: "sticky",
		top: 0,
		zIndex: 4,
		marginTop: "10px",
		bg: "bar",
		borderBlock: "2px solid",
		borderColor: "edge",
		padding: { base: "6px 14px", md: "6px 20px" },
		display: "flex",
		flexWrap: "wrap",
		alignItems: "center",
		gap: "4px 14px",
	},
});

interface NumberBarProps {
	readonly wrong: Readonly<Record<string, string>>;
	readonly draft: Draft;
	readonly serves: CardServes | null;
	readonly units: UnitSystem;
	/** Whether something typed is still on its way. */
	readonly waits: boolean;
}

/** Always in sight: what the card serves, what stands open, and the way to its number. */
export function NumberBar({ wrong, draft, serves, units, waits }: NumberBarProps) {
	const open = Object.entries(wrong);
	return (
		<Bar role="region" aria-label="The way to its number">
			<chakra.div flex="1 1 220px" minWidth="0">
				<b>{servesWords(draft, serves, units)}</b>
				{open.length === 0 ? (
					<Muted> It holds.</Muted>
				) : (
					<details>
						<summary>▲ {open.length === 1 ? "1 thing stands" : `${open.length} things stand`} open</summary>
						<ul>
							{open.slice(0, MOST_OPEN).map(([field, message]) => (
								<li key={field}>
									<Muted>{fieldWords(field)}:</Muted> {message}
								</li>
							))}
						</ul>
					</details>
				)}
			</chakra.div>
			<Act kind="next" name="intent" value="number:tested" disabled={open.length > 0 || waits}>
				<span>
					Number it<chakra.span hideBelow="lg">, to be tested</chakra.span>
				</span>
			</Act>
			<Act name="intent" value="number:standard" disabled={open.length > 0 || waits}>
				<span>
					Approve<chakra.span hideBelow="lg"> as the standard</chakra.span>
				</span>
			</Act>
		</Bar>
	);
}

/** So much of what stands open is listed in the bar. */
const MOST_OPEN = 6;

/** "2.58 kg serve 10." */
function servesWords({ kind, fields }: Draft, serves: CardServes | null, units: UnitSystem): string {
	if (serves) return `${measuresIn(units).mass(serves.main_g / 1000)} serve ${serves.serves}.`;
	if (kind === "dish") return fields.portions ? `Written for ${fields.portions}.` : "";
	return "";
}
