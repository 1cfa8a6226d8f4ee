import { chakra } from "@chakra-ui/react/styled-system";
import { Act, Figure, Muted } from "../../ui/parts/parts.tsx";
import { setTrial } from "../setTrial.ts";
import type { ColourView, WayView } from "./colour.view.ts";

const Load = chakra("li", {
	base: {
		minWidth: "44px",
		height: "44px",
		paddingInline: "4px",
		border: "2px solid",
		borderColor: "pan",
		bg: "place",
		display: "grid",
		placeItems: "center",
		fontWeight: 650,
	},
	variants: {
		round: { true: { borderRadius: "50%" } },
		change: { true: { boxShadow: "0 5px 0 var(--wt-colors-ink)" } },
	},
});

/** The pan or the tray with its pieces, all loads in a row, and both ways side by side. */
export function ColourWays({ view }: { readonly view: ColourView }) {
	const round = view.drawing?.floor.kind === "circle";
	return (
		<chakra.div display="grid" gap="14px">
			<chakra.div
				display="grid"
				gap="12px"
				gridTemplateColumns={{ base: "minmax(0,1fr)", sm: "repeat(2, minmax(0,1fr))" }}
				role="group"
				aria-label="Where the pieces are coloured"
			>
				{view.ways.map((way) => (
					<Way key={way.way} way={way} isTaken={way.way === view.taken} isSettled={view.settled} />
				))}
			</chakra.div>
			<div>
				<Muted>{view.rowWords}</Muted>
				<chakra.ol display="flex" flexWrap="wrap" gap="12px 6px" marginTop="8px" aria-label="Pieces in each">
					{view.row.map(({ number, pieces, when, change }) => (
						<Load
							key={number}
							round={round}
							change={change}
							title={when}
							aria-label={`${number}: ${pieces} pieces, ${when}${change ? ", then fresh fat" : ""}`}
						>
							{pieces}
						</Load>
					))}
				</chakra.ol>
			</div>
		</chakra.div>
	);
}

interface WayProps {
	readonly way: WayView;
	readonly isTaken: boolean;
	readonly isSettled: boolean;
}

function Way({ way, isTaken, isSettled }: WayProps) {
	return (
		<chakra.section
			bg="place"
			padding="10px 14px 12px"
			borderTop="4px solid"
			borderColor={isTaken ? "ink" : "hair"}
		>
			<chakra.h3 fontFamily="head" fontWeight="700" fontSize="18px">
				{way.name}
			</chakra.h3>
			{way.missing ? <p>{way.missing}</p> : null}
			<chakra.dl display="grid" gridTemplateColumns="auto minmax(0,1fr)" gap="3px 12px" marginBlock="6px 8px">
				{way.facts.map(({ label, figure }) => (
					<chakra.div key={label} display="contents">
						<chakra.dd gridColumn="1" textAlign="end">
							<Figure fontSize="19px">{figure}</Figure>
						</chakra.dd>
						<chakra.dt gridColumn="2" gridRow="auto" color="muted" alignSelf="center">
							{label}
						</chakra.dt>
					</chakra.div>
				))}
			</chakra.dl>
			{isTaken ? (
				<chakra.div display="flex" flexWrap="wrap" alignItems="center" gap="4px 12px">
					<b>in the plan</b>
					{isSettled ? (
						<Act kind="quiet" type="button" onClick={() => setTrial({ colour: "" })}>
							Leave it to the plan
						</Act>
					) : null}
				</chakra.div>
			) : (
				<Act type="button" disabled={way.missing !== null} onClick={() => setTrial({ colour: way.way })}>
					Take this way
				</Act>
			)}
		</chakra.section>
	);
}
