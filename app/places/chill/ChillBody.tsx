import { chakra } from "@chakra-ui/react/styled-system";
import { useEffect, useRef, useState } from "react";
import { useParams } from "react-router";
import { ChillCurve } from "../../ui/drawings/ChillCurve.tsx";
import { ChillCut } from "../../ui/drawings/ChillCut.tsx";
import { Act, ActLink, Muted } from "../../ui/parts/parts.tsx";
import { measuresIn } from "../../ui/words/measures.ts";
import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";
import { setTrial } from "../setTrial.ts";
import type { ChillCutView, ChillView, WayView } from "./chill.view.ts";
import { depthAt, depthState, steppedTo, typedFor } from "./depthModel.ts";

const Ways = chakra("ul", { base: { display: "grid" } });
const Row = chakra("li", {
	base: {
		display: "flex",
		flexWrap: "wrap",
		gap: "4px 16px",
		alignItems: "center",
		borderTop: "1px solid",
		borderColor: "hair",
		paddingBlock: "6px",
	},
});

/** The chill place: the curve under the code's stepped ceiling, and every way that meets it. */
export function ChillBody({ view, head, facts, warnings, arithmetic }: BodyProps<ChillView>) {
	const { drawing, limits, clock, deepest, growth, way, isSettled, others, joints } = view;
	return (
		<DrawnColumns
			answer={
				<>
					{head}
					{facts}
					<chakra.ul display="grid" gap="4px" aria-label="Limits of the house code">
						{limits.map(({ words, verdict }) => (
							<li key={words}>
								{verdict === "met" ? "" : "▲ "}
								{words}
							</li>
						))}
					</chakra.ul>
					{clock && <p>{clock}</p>}
					<p>{deepest}</p>
					<p>{growth}</p>
					{warnings}
					<MakeLot />
				</>
			}
			drawing={
				<>
					<ChillCurve drawing={drawing} />
					<DepthCut view={view.cut} />
					<Ways aria-label="Ways of cooling">
						<Row>
							<chakra.span flex="1 1 240px">
								<b>{way.words}</b> <Muted>{way.facts}</Muted>
							</chakra.span>
							<b>in the plan</b>
							{isSettled ? (
								<Act kind="quiet" type="button" onClick={() => setTrial({ chill: "" })}>
									Leave it to the plan
								</Act>
							) : null}
						</Row>
						{joints.map((words) => (
							<Row key={words}>{words}</Row>
						))}
						{others.map((other) => (
							<Other key={other.id} way={other} />
						))}
					</Ways>
					{arithmetic}
				</>
			}
		/>
	);
}

/** The pan cut through; its depth is dragged, and the plan spreads the food as far. */
function DepthCut({ view }: { readonly view: ChillCutView }) {
	const [moved, setMoved] = useState<number | null>(null);
	const last = useRef<number | null>(null);
	// What the table has taken over is no longer the page's own.
	useEffect(() => setMoved((mm) => (mm === view.depth_mm ? null : mm)), [view.depth_mm]);
	const state = depthState(view, moved ?? view.depth_mm);
	const { length } = measuresIn(view.units);
	return (
		<div>
			<ChillCut
				pan={view.pan}
				depth_mm={state.depth_mm}
				deepest_mm={view.deepest_mm}
				depth={length(state.depth_mm)}
				deepest={view.deepest_mm === null ? "" : length(view.deepest_mm)}
				words={`${view.name}: ${state.words}`}
				keyTo={(key) => steppedTo(key, view, state.depth_mm)}
				onMove={(mm) => {
					last.current = depthAt(mm, view);
					setMoved(last.current);
				}}
				onDrop={() => {
					if (last.current !== null) setTrial({ chill: typedFor(view, depthState(view, last.current)) });
				}}
			/>
			<p>
				{state.isOver ? "▲ " : ""}
				{state.words.charAt(0).toUpperCase() + state.words.slice(1)}.
			</p>
		</div>
	);
}

/** When it is lifted it becomes a lot, and its pans are watched. */
function MakeLot() {
	const { sittingId, dishId } = useParams();
	if (!sittingId || !dishId) return null;
	return (
		<p>
			<ActLink to={`/records/lots/new?sitting=${sittingId}&dish=${dishId}`}>Lifted: make it a lot</ActLink>
		</p>
	);
}

function Other({ way: { words, facts, typed } }: { readonly way: WayView }) {
	return (
		<Row>
			<chakra.span flex="1 1 240px">
				<b>{words}</b> <Muted>{facts}</Muted>
			</chakra.span>
			<Act type="button" aria-label={`Take this way: ${words}`} onClick={() => setTrial({ chill: typed })}>
				Take this way
			</Act>
		</Row>
	);
}
