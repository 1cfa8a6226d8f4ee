import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { type PointerEvent, useRef } from "react";
import type { PanDrawing } from "./drawings.ts";
import { LevelGrip } from "./LevelGrip.tsx";
import { leanOf, PanLayer, PanWall } from "./PanWall.tsx";
import { Label, Line, Svg } from "./svg.tsx";

const Big = chakra("text", { base: { fill: "ink", fontFamily: "head", fontWeight: 700, fontSize: "26px" } });
const WIDTH = 440;
const RIGHT = 190;
const ABOVE = 16;
const BELOW = 16;
/** Least height between two words at the right, px. */
const STEP = 22;

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
	const svg = useRef<SVGSVGElement>(null);
	const px = scaleLinear().domain([0, pan.rim.length_mm]).range([0, WIDTH]);
	const up = (mm: number) => px(pan.depth_mm - mm);
	const floor = px(pan.depth_mm);
	const lean = leanOf(pan, px);
	const level = up(depth_mm);
	const mark = deepest_mm !== null && deepest_mm < pan.depth_mm ? up(deepest_mm) : null;
	const valueAt = (event: PointerEvent) => {
		const box = svg.current?.getBoundingClientRect();
		if (!box) return depth_mm;
		const scale = (floor + ABOVE + BELOW) / box.height;
		return pan.depth_mm - px.invert((event.clientY - box.top) * scale - ABOVE);
	};
	return (
		<Svg
			ref={svg}
			viewBox={`-4 ${-ABOVE} ${WIDTH + RIGHT} ${floor + ABOVE + BELOW}`}
			role="group"
			aria-label={words}
		>
			<PanLayer
				from={0}
				to={depth_mm}
				depth_mm={pan.depth_mm}
				lean={lean}
				width={WIDTH}
				up={up}
				fill="broth"
			/>
			<PanWall lean={lean} width={WIDTH} depth={floor} />
			{mark === null ? null : (
				<>
					<Line x1={lean.rim} x2={WIDTH + 14} y1={mark} y2={mark} stroke="ink" strokeDasharray="6 5" />
					<Label x={WIDTH + 20} y={besideOf(mark, level)} fill="ink">
						meets it: {deepest}
					</Label>
				</>
			)}
			<Line x1={lean.rim} x2={WIDTH + 14} y1={level} y2={level} stroke="ink" strokeWidth={2.5} />
			<Big x={WIDTH + 20} y={level + 9}>
				{depth}
			</Big>
			<LevelGrip
				label="Depth of the food"
				text={words}
				now={Math.round(depth_mm)}
				most={Math.round(pan.depth_mm)}
				y={level}
				width={WIDTH}
				beside={14}
				valueAt={valueAt}
				keyTo={keyTo}
				onMove={onMove}
				onDrop={onDrop}
			/>
		</Svg>
	);
}

/** Where the words of the mark stand, out of the way of the depth's own figure. */
function besideOf(mark: number, level: number): number {
	const clear = Math.abs(mark - level) >= STEP + 6;
	if (clear) return mark + 6;
	return mark >= level ? level + 9 + STEP : level - STEP;
}
