import type { PanDrawing } from "./drawings.ts";
import { leanOf, PanWall } from "./PanWall.tsx";
import { Circle, Rect } from "./svg.tsx";

const GAP = 6;

/** A pan from above and from the side, small: all of a list in one scale. */
export function PanOutline({ pan, pxPerMm }: { readonly pan: PanDrawing; readonly pxPerMm: number }) {
	const px = (mm: number) => mm * pxPerMm;
	const [width, down, depth] = [px(pan.rim.length_mm), px(pan.rim.width_mm), px(pan.depth_mm)];
	return (
		<svg
			width={width + 4}
			height={down + GAP + depth + 4}
			viewBox={`-2 -2 ${width + 4} ${down + GAP + depth + 4}`}
			role="img"
			aria-label={pan.words}
			style={{ flex: "none" }}
		>
			{pan.floor.kind === "circle" ? (
				<Circle
					data-means="pan"
					cx={width / 2}
					cy={width / 2}
					r={width / 2}
					fill="panFloor"
					stroke="pan"
					strokeWidth={2}
				/>
			) : (
				<Rect
					data-means="pan"
					width={width}
					height={down}
					rx={4}
					fill="panFloor"
					stroke="pan"
					strokeWidth={2}
				/>
			)}
			<g transform={`translate(0 ${down + GAP})`}>
				<PanWall lean={leanOf(pan, px)} width={width} depth={depth} thick={2} />
			</g>
		</svg>
	);
}
