import { chakra } from "@chakra-ui/react/styled-system";
import { useDraggable, useDroppable } from "@dnd-kit/core";
import { useFetcher, useLocation, useParams } from "react-router";
import { type HeldPans, pansHeld } from "#core/dish";
import { Stepper } from "../../ui/forms/Stepper.tsx";
import { wishesTyped, withWish } from "../../ui/forms/settled.ts";
import { type Column, ColumnTable } from "../../ui/parts/ColumnTable.tsx";
import { Act, Muted } from "../../ui/parts/parts.tsx";
import { setTrial } from "../setTrial.ts";
import type { PanUpView, ShelfKind } from "./panUp.view.ts";

/** A pan is drawn so small in the strip and on the shelf, px for each mm: all to one scale. */
export const STRIP_PX_PER_MM = 0.19;
/** More pans than this are counted and not drawn. */
const MOST_DRAWN = 48;

const Small = chakra("button", {
	base: {
		position: "relative",
		bg: "place",
		border: "2px solid",
		borderColor: "pan",
		padding: 0,
		display: "grid",
		placeItems: "center",
		cursor: "pointer",
		fontFamily: "head",
		fontWeight: 700,
		fontSize: "17px",
		minWidth: "30px",
		minHeight: "30px",
		"&[aria-pressed=true]": {
			bg: "sheet",
			borderColor: "ink",
			boxShadow: "0 0 0 2px var(--wt-colors-ink)",
		},
	},
	variants: { round: { true: { borderRadius: "50%" } } },
});

interface PanStripProps {
	readonly view: PanUpView;
	readonly chosen: number;
	readonly onChoose: (index: number) => void;
}

/** All pans of the dish, to scale with each other, with the pieces in each. */
export function PanStrip({ view, chosen, onChoose }: PanStripProps) {
	const drawn = view.strip.slice(0, MOST_DRAWN);
	return (
		<div>
			<Muted>
				All pans to one scale, with the pieces in each. Choose one to see it; drag it onto a kind below to
				swap it.
			</Muted>
			<chakra.ol display="flex" flexWrap="wrap" gap="8px" marginTop="6px" aria-label="Pans of the dish">
				{drawn.map((pan) => (
					<li key={pan.number}>
						<StripPan view={view} pan={pan} chosen={chosen} onChoose={onChoose} />
					</li>
				))}
				{view.strip.length > MOST_DRAWN ? (
					<chakra.li alignSelf="center">and {view.strip.length - MOST_DRAWN} more</chakra.li>
				) : null}
			</chakra.ol>
		</div>
	);
}

function StripPan({
	view,
	pan,
	chosen,
	onChoose,
}: PanStripProps & { readonly pan: PanUpView["strip"][number] }) {
	const alike = view.pans[pan.alike];
	const { setNodeRef, listeners, transform } = useDraggable({
		id: `pan-${pan.number}`,
		data: { from: alike?.typeId },
	});
	if (!alike) return null;
	const { rim, floor } = alike.drawing;
	return (
		<Small
			ref={setNodeRef}
			type="button"
			round={floor.kind === "circle"}
			aria-pressed={pan.alike === chosen}
			aria-label={`Pan ${pan.number}, ${alike.name}, ${alike.pieces} of ${alike.capacity} pieces`}
			onClick={() => onChoose(pan.alike)}
			style={{
				width: rim.length_mm * STRIP_PX_PER_MM,
				height: rim.width_mm * STRIP_PX_PER_MM,
				transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
				zIndex: transform ? 2 : undefined,
			}}
			{...listeners}
		>
			{alike.pieces}
		</Small>
	);
}

/** Settles so many of a kind, or lets it go again. */
function settle(view: PanUpView, typeId: string, count: number | null): void {
	setTrial({ wishes: wishesTyped(withWish(view.wishes, typeId, count)) });
}

/** One pan of a kind given up for as many of another as take its pieces. */
export function swapPan(view: PanUpView, from: string, to: string): void {
	const kind = view.shelf.find(({ id }) => id === from);
	const other = view.shelf.find(({ id }) => id === to);
	if (!kind || !other || from === to || other.takes === 0) return;
	const more = Math.ceil(kind.takes / other.takes);
	const given = withWish(view.wishes, from, Math.max(0, kind.here - 1));
	setTrial({ wishes: wishesTyped(withWish(given, to, other.here + more)) });
}

/** A kind of pan with the place of the long table it stands on. */
interface ShelfRow {
	readonly view: PanUpView;
	readonly kind: ShelfKind;
}

/** "4 Goat shoulder" a line, so that it can be talked over with who has them. */
function whoHas(held: readonly HeldPans[]): React.ReactNode {
	if (held.length === 0) return "none";
	return held.map(({ dish, count }) => (
		<chakra.div key={dish} lineHeight="1.3">
			{count} {dish}
		</chakra.div>
	));
}

const leftOf = ({ stock, here, elsewhere }: ShelfKind): number => stock - here - pansHeld(elsewhere);

const COLUMNS: readonly Column<ShelfRow>[] = [
	{
		words: "Kind",
		wrap: "never",
		cell: ({ kind }) => <chakra.span fontWeight="650">{kind.name}</chakra.span>,
	},
	{ words: "One takes", number: true, cell: ({ kind }) => (kind.takes === 0 ? "none" : kind.takes) },
	{ words: "Here", cell: (row) => <Steps {...row} /> },
	{ words: "Other dishes", hideBelow: "md", cell: ({ kind }) => whoHas(kind.elsewhere) },
	{ words: "Left", number: true, hideBelow: "md", cell: ({ kind }) => leftOf(kind) },
	{ words: "Settled", cell: (row) => <Settled {...row} /> },
];

/** The kitchen's pans: how many this dish has of each, to be settled by the chef. */
export function PanShelf({ view }: { readonly view: PanUpView }) {
	return (
		<div>
			<chakra.h3 fontFamily="head" fontWeight="700" fontSize="19px" marginBottom="4px">
				On the shelf
			</chakra.h3>
			<chakra.div overflowX="auto">
				<ColumnTable
					columns={COLUMNS}
					rows={view.shelf.map((kind) => ({ view, kind }))}
					keyOf={({ kind }) => kind.id}
					frame={DropRow}
				/>
			</chakra.div>
			<OneMore />
		</div>
	);
}

/** The row of a kind, where a pan of another kind can be dropped. */
function DropRow({
	row: { kind },
	children,
}: {
	readonly row: ShelfRow;
	readonly children: React.ReactNode;
}) {
	const { setNodeRef, isOver } = useDroppable({ id: `kind-${kind.id}`, data: { to: kind.id } });
	return (
		<chakra.tr
			ref={setNodeRef}
			css={{ "& td": { verticalAlign: "middle" }, "&[data-over]": { bg: "note" } }}
			data-over={isOver || undefined}
		>
			{children}
		</chakra.tr>
	);
}

function Steps({ view, kind }: ShelfRow) {
	return (
		<Stepper
			value={kind.here}
			of={kind.name}
			most={kind.takes === 0 ? kind.here : kind.here + Math.max(0, leftOf(kind))}
			onValue={(count) => settle(view, kind.id, count)}
		/>
	);
}

function Settled({ view, kind }: ShelfRow) {
	if (kind.settled === null) {
		return (
			<Act kind="quiet" type="button" onClick={() => settle(view, kind.id, kind.here)}>
				{kind.here === 0 ? "Rule out" : `Keep ${kind.here}`}
			</Act>
		);
	}
	return (
		<chakra.span display="inline-flex" alignItems="center" gap="4px" flexWrap="wrap">
			<b>{kind.settled === 0 ? "ruled out" : `settled at ${kind.settled}`}</b>
			<Act kind="quiet" type="button" onClick={() => settle(view, kind.id, null)}>
				Let go
			</Act>
		</chakra.span>
	);
}

/** What one more pan of a size would save, worked out when it is asked. */
function OneMore() {
	const fetcher = useFetcher<{ readonly savings: readonly string[] }>();
	const { search } = useLocation();
	const { sittingId, dishId } = useParams();
	return (
		<chakra.div marginTop="10px" role="status">
			<Act
				kind="quiet"
				type="button"
				paddingInline="0"
				disabled={fetcher.state !== "idle"}
				onClick={() => fetcher.load(`/sittings/${sittingId}/dishes/${dishId}/more-pans${search}`)}
			>
				What would one more pan save?
			</Act>
			{fetcher.data ? (
				<ul>
					{fetcher.data.savings.map((words) => (
						<li key={words}>{words}</li>
					))}
				</ul>
			) : null}
		</chakra.div>
	);
}
