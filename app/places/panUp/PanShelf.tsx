import { chakra } from "@chakra-ui/react/styled-system";
import { useDraggable, useDroppable } from "@dnd-kit/core";
import { useFetcher, useLocation, useParams } from "react-router";
import { wishesTyped, withWish } from "../../ui/forms/settled.ts";
import { Act, Muted, Table } from "../../ui/parts/parts.tsx";
import { type Column, TableHead } from "../../ui/parts/TableHead.tsx";
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
			borderColor: "next",
			boxShadow: "0 0 0 2px var(--wt-colors-next)",
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
	const of = view.pans[pan.alike];
	const { setNodeRef, listeners, transform } = useDraggable({
		id: `pan-${pan.number}`,
		data: { from: of?.typeId },
	});
	if (!of) return null;
	const { rim, floor } = of.drawing;
	return (
		<Small
			ref={setNodeRef}
			type="button"
			round={floor.kind === "circle"}
			aria-pressed={pan.alike === chosen}
			aria-label={`Pan ${pan.number}, ${of.name}, ${of.pieces} of ${of.capacity} pieces`}
			onClick={() => onChoose(pan.alike)}
			style={{
				width: rim.length_mm * STRIP_PX_PER_MM,
				height: rim.width_mm * STRIP_PX_PER_MM,
				transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
				zIndex: transform ? 2 : undefined,
			}}
			{...listeners}
		>
			{of.pieces}
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

const COLUMNS: readonly Column[] = [
	{ words: "Kind" },
	{ words: "One takes", number: true },
	{ words: "Here" },
	{ words: "Other dishes", number: true, hideBelow: "md" },
	{ words: "Left", number: true, hideBelow: "md" },
	{ words: "Settled" },
];

/** The kitchen's pans: how many this dish has of each, to be settled by the chef. */
export function PanShelf({ view }: { readonly view: PanUpView }) {
	return (
		<div>
			<chakra.h3 fontFamily="head" fontWeight="700" fontSize="19px" marginBottom="4px">
				On the shelf
			</chakra.h3>
			<chakra.div overflowX="auto">
				<Table css={{ "& td": { verticalAlign: "middle" } }}>
					<TableHead columns={COLUMNS} />
					<tbody>
						{view.shelf.map((kind) => (
							<ShelfRow key={kind.id} view={view} kind={kind} />
						))}
					</tbody>
				</Table>
			</chakra.div>
			<OneMore />
		</div>
	);
}

function ShelfRow({ view, kind }: { readonly view: PanUpView; readonly kind: ShelfKind }) {
	const { setNodeRef, isOver } = useDroppable({ id: `kind-${kind.id}`, data: { to: kind.id } });
	const left = kind.stock - kind.here - kind.elsewhere;
	return (
		<chakra.tr ref={setNodeRef} {...(isOver ? { bg: "note" } : {})}>
			<chakra.td whiteSpace="nowrap" fontWeight="650">
				{kind.name}
			</chakra.td>
			<td className="number">{kind.takes === 0 ? "none" : kind.takes}</td>
			<td>
				<chakra.span display="inline-flex" alignItems="center" gap="6px">
					<Step
						sign="−"
						label={`One ${kind.name} fewer`}
						disabled={kind.here === 0}
						onStep={() => settle(view, kind.id, kind.here - 1)}
					/>
					<chakra.b minWidth="28px" textAlign="center" fontSize="19px" fontFamily="head">
						{kind.here}
					</chakra.b>
					<Step
						sign="+"
						label={`One ${kind.name} more`}
						disabled={kind.takes === 0 || left <= 0}
						onStep={() => settle(view, kind.id, kind.here + 1)}
					/>
				</chakra.span>
			</td>
			<chakra.td className="number" hideBelow="md">
				{kind.elsewhere}
			</chakra.td>
			<chakra.td className="number" hideBelow="md">
				{left}
			</chakra.td>
			<td>
				{kind.settled === null ? (
					<Act kind="quiet" type="button" onClick={() => settle(view, kind.id, kind.here)}>
						{kind.here === 0 ? "Rule out" : `Keep ${kind.here}`}
					</Act>
				) : (
					<chakra.span display="inline-flex" alignItems="center" gap="4px" flexWrap="wrap">
						<b>{kind.settled === 0 ? "ruled out" : `settled at ${kind.settled}`}</b>
						<Act kind="quiet" type="button" onClick={() => settle(view, kind.id, null)}>
							Let go
						</Act>
					</chakra.span>
				)}
			</td>
		</chakra.tr>
	);
}

interface StepProps {
	readonly sign: string;
	readonly label: string;
	readonly disabled: boolean;
	readonly onStep: () => void;
}

function Step({ sign, label, disabled, onStep }: StepProps) {
	return (
		<Act
			type="button"
			aria-label={label}
			disabled={disabled}
			onClick={onStep}
			minHeight="40px"
			minWidth="40px"
			padding="0"
			justifyContent="center"
		>
			{sign}
		</Act>
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
