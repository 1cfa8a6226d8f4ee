import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { Figure, Muted, Sheet } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { counted } from "../ui/words/reading.ts";

interface SittingCardProps {
	readonly sitting: {
		readonly id: string;
		readonly name: string;
		readonly day: string;
		readonly room: string;
		readonly when: string;
		readonly covers: number;
		readonly dishes: readonly string[];
		readonly warnings: number;
	};
}

/** A coming sitting in brief. */
export function SittingCard({ sitting }: SittingCardProps) {
	return (
		<Sheet display="grid" gap="6px">
			<chakra.div display="flex" alignItems="flex-start" gap="10px" justifyContent="space-between">
				<Link to={`/sittings/${sitting.id}`} style={{ textDecoration: "none" }}>
					<Tape>{sitting.name}</Tape>
				</Link>
				<Figure fontSize="19px" whiteSpace="nowrap">
					{sitting.when}
				</Figure>
			</chakra.div>
			<Muted>
				{sitting.room} · {counted(sitting.covers, "cover")}
			</Muted>
			<ul>
				{sitting.dishes.map((dish) => (
					<li key={dish}>{dish}</li>
				))}
			</ul>
			{sitting.dishes.length > 0 ? <Link to={sitting.day}>The whole day, ovens and hands</Link> : null}
			{sitting.dishes.length === 0 ? <p>No dish on it yet.</p> : null}
			{sitting.warnings > 0 ? (
				<chakra.p fontWeight="650">▲ {counted(sitting.warnings, "warning")} in the plan</chakra.p>
			) : null}
		</Sheet>
	);
}
