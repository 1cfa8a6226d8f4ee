import type { PointerEvent } from "react";
import type { PanDrawing } from "./drawings.ts";
import { LevelGrip } from "./LevelGrip.tsx";
import { leanOf, PanLayer, PanWall } from "./PanWall.tsx";
import { PAN_LEFT, panScale } from "./panScale.ts";
import { Label, Line, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

/** Room above the rim for what the mark says, and under the floor for a grip low down, px. */
const ABOVE = 36;
const BELOW = 26;
/** Width it is laid out in until it is shown, px. */
const FIRST = 660;
/** How long the piece of dashed line before the words is, px. */
const DASH = 34;

interface ChillCutProps {
	readonly pan: PanDrawing;
	/** How deep the food lies, and up to where it meets the limits, mm. */
	readonly depth_mm: number;
	readonly deepest_mm: number | null;
	/** Both as they are read. */
	readonly depth: string;
	readonly deepest: string;
	/** All of it in one sentence. */
	readonly words: string;
	readonly keyTo: (key: string) => number | undefined;
	readonly onMove: (mm: number) => void;
	readonly onDrop: () => void;
}

/** A pan cut through with its food to cool: the depth as a control, and the depth that meets the limits. */
export function ChillCut(props: ChillCutProps) {
	const { pan, depth_mm, deepest_mm, depth, deepest, words, keyTo, onMove, onDrop } = props;
	const [svg, shown] = useShownWidth(FIRST);
	const { width, px } = panScale(pan, shown);
	const up = (mm: number) => px(pan.depth_mm - mm);
	const floor = px(pan.depth_mm);
	const lean = leanOf(pan, px);
	const height = ABOVE + floor + BELOW;
	const level = up(depth_mm);
	const mark = deepest_mm !== null && deepest_mm < pan.depth_mm ? up(deepest_mm) : null;
	const valueAt = (event: PointerEvent) => {
		const box = svg.current?.getBoundingClientRect();
		if (!box) return depth_mm;
		return pan.depth_mm - px.invert(((event.clientY - box.top) * height) / box.height - ABOVE);
	};
	return (
		<Svg ref={svg} viewBox={`${-PAN_LEFT} ${-ABOVE} ${shown} ${height}`} role="group" aria-label={words}>
			<PanLayer
				from={0}
				to={depth_mm}
				depth_mm={pan.depth_mm}
				lean={lean}
				width={width}
				up={up}
				fill="broth"
			/>
			<PanWall lean={lean} width={width} depth={floor} />
			{mark === null ? null : (
				<>
					<Line x1={lean.rim} x2={width} y1={mark} y2={mark} stroke="ink" strokeDasharray="6 5" />
					<Line x1={0} x2={DASH} y1={-18} y2={-18} stroke="ink" strokeDasharray="6 5" />
					<Label x={DASH + 8} y={-12} fill="ink">
						meets it: {deepest}
					</Label>
				</>
			)}
			<Line
				data-means="depth of the food"
				x1={lean.rim}
				x2={width + 8}
				y1={level}
				y2={level}
				stroke="ink"
				strokeWidth={2.5}
			/>
			<LevelGrip
				label="Depth of the food"
				text={words}
				figure={depth}
				now={Math.round(depth_mm)}
				most={Math.round(pan.depth_mm)}
				x={width + 8}
				y={level}
				valueAt={valueAt}
				keyTo={keyTo}
				onMove={onMove}
				onDrop={onDrop}
			/>
		</Svg>
	);
}
