import { chakra } from "@chakra-ui/react/styled-system";
import { DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { useEffect, useRef, useState } from "react";
import { LINE_SCHOOLS, type LiquidLine } from "#core/pans";
import { PanCut } from "../../ui/drawings/PanCut.tsx";
import { PanFromAbove } from "../../ui/drawings/PanFromAbove.tsx";
import { lineTyped } from "../../ui/forms/settled.ts";
import { Facts } from "../../ui/parts/Facts.tsx";
import { Act, Note } from "../../ui/parts/parts.tsx";
import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";
import { setTrial } from "../setTrial.ts";
import { DeliveryCheck } from "./DeliveryCheck.tsx";
import { type LineState, lineAt, lineState } from "./lineModel.ts";
import { PanShelf, PanStrip, swapPan } from "./PanShelf.tsx";
import type { PanUpView } from "./panUp.view.ts";

/** Pixels a pointer travels before a press becomes a drag. */
const DRAG_AFTER_PX = 8;

/** The pans of the dish: from above, cut through with the line to be dragged, all in a row, and the shelf. */
export function PanUp({ view, head, warnings, arithmetic }: BodyProps<PanUpView>) {
	const [chosen, setChosen] = useState(0);
	const shown = Math.min(chosen, view.pans.length - 1);
	const pan = view.pans[shown];
	const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: DRAG_AFTER_PX } }));
	const drop = ({ active, over }: DragEndEvent) => {
		const from = active.data.current?.from as string | undefined;
		const to = over?.data.current?.to as string | undefined;
		if (from && to) swapPan(view, from, to);
	};
	const line = useLine(view, shown);
	if (!pan || !line) return null;
	return (
		<DndContext sensors={sensors} onDragEnd={drop}>
			<DrawnColumns
				answer={
					<>
						{head}
						<LineFacts state={line.state} />
						{warnings}
						<DeliveryCheck view={view} pan={pan} />
						{arithmetic}
					</>
				}
				drawing={
					<>
						<PanFromAbove pan={pan.drawing} filled />
						<PanCut pan={pan.drawing} cut={line.state.cut} drag={line.drag} />
						<Schools state={line.state} onTake={line.take} />
						{view.cardLine ? (
							<div>
								<Act kind="quiet" type="button" paddingInline="0" onClick={() => setTrial({ line: "" })}>
									Leave the line to the plan
								</Act>
							</div>
						) : null}
					</>
				}
			/>
			<chakra.div display="grid" gridTemplateColumns="minmax(0,1fr)" gap="18px" marginTop="14px">
				<PanStrip view={view} chosen={shown} onChoose={setChosen} />
				<PanShelf view={view} />
			</chakra.div>
		</DndContext>
	);
}

/** The liquid line as a control; what it comes to follows while it moves. */
function useLine(view: PanUpView, chosen: number) {
	const [moved, setMoved] = useState<LiquidLine | null>(null);
	const last = useRef<LiquidLine | null>(null);
	const planned = lineTyped(view.line);
	// What the table has taken over is no longer the page's own.
	useEffect(() => setMoved((line) => (line && lineTyped(line) === planned ? null : line)), [planned]);
	const state = lineState(view, chosen, moved ?? view.line);
	if (!state) return null;
	return {
		state,
		take: (next: LiquidLine) => {
			setMoved(next);
			setTrial({ line: lineTyped(next) });
		},
		drag: {
			label: "Liquid line",
			text: state.text,
			onMove: (mm: number) => {
				last.current = lineAt(mm - state.cut.bed_mm, state.cut.pile_mm ?? 1);
				setMoved(last.current);
			},
			onDrop: () => {
				if (last.current) setTrial({ line: lineTyped(last.current) });
			},
		},
	};
}

function LineFacts({ state }: { readonly state: LineState }) {
	return (
		<>
			<Facts facts={state.facts} fontSize="22px" />
			{state.warnings.length > 0 ? (
				<Note>
					<b>Now {state.warnings.join("; ")}.</b>
				</Note>
			) : null}
		</>
	);
}

/** The schools as buttons, shallow to deep, for those who do not drag. */
function Schools({
	state,
	onTake,
}: {
	readonly state: LineState;
	readonly onTake: (line: LiquidLine) => void;
}) {
	return (
		<chakra.div display="flex" flexWrap="wrap" gap="6px" role="group" aria-label="Liquid line by school">
			{LINE_SCHOOLS.map(({ name, line }) => {
				const height = state.cut.schools.find((school) => school.name === name);
				const isHere = state.cut.lineWords === name;
				return (
					<Act
						key={name}
						type="button"
						aria-pressed={isHere}
						disabled={!height}
						onClick={() => onTake(line)}
						fontSize="16px"
						fontWeight={isHere ? 700 : 500}
						paddingInline="10px"
						{...(isHere ? { borderColor: "ink", bg: "ink", color: "sheet" } : {})}
					>
						{name} {height ? Math.round(height.mm) : "over the rim"}
					</Act>
				);
			})}
		</chakra.div>
	);
}
