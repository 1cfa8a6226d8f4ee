import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { Figure, Muted } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import type { LotView } from "./lotPage.ts";

const Cell = chakra(Link, {
	base: {
		display: "grid",
		alignContent: "start",
		gap: "4px",
		bg: "place",
		padding: "10px 12px",
		textDecoration: "none",
		borderTop: "5px solid transparent",
		"&[aria-current=true]": { bg: "sheet", borderTopColor: "ink" },
	},
});

const VERDICTS = {
	met: "met",
	missed: "missed",
	onCourse: "on course",
	tight: "tight",
	late: "too late",
	open: "not known yet",
	notKnown: "not known",
} as const;

/** The pans of a lot in a row: each with its one figure, and how it stands. */
export function WatchStrip({
	watches,
	open,
}: {
	readonly watches: LotView["watches"];
	readonly open: number | null;
}) {
	if (watches.length === 0) return null;
	return (
		<chakra.nav
			aria-label="Pans that are watched"
			display="grid"
			gap="2px"
			marginTop="12px"
			gridTemplateColumns="repeat(auto-fill, minmax(min(200px, 45%), 1fr))"
		>
			{watches.map((watch) => (
				<Cell
					key={watch.watch}
					to={`?watch=${watch.watch}`}
					aria-current={watch.watch === open}
					preventScrollReset
				>
					<span>
						<Tape>{watch.tag}</Tape> <Muted>{watch.isOpen ? watch.doing : `${watch.doing}, ended`}</Muted>
					</span>
					<Figure size="narrow">{watch.figure}</Figure>
					<span>
						{watch.isPressing || watch.isDoubted || watch.verdict === "missed" ? "▲ " : ""}
						{VERDICTS[watch.verdict]}
						{watch.isDoubted ? ", probe in doubt" : ""}
					</span>
				</Cell>
			))}
		</chakra.nav>
	);
}
