import type { Silhouette } from "./silhouette.ts";
import { Path, Rect } from "./svg.tsx";

/** A dish's pan from the side with its pieces and its line, in one scale with every other such drawing. */
export function DishSilhouette({
	of: { wide_mm, deep_mm, line_mm, piece, count, layers, words },
	pxPerMm,
}: {
	readonly of: Silhouette;
	readonly pxPerMm: number;
}) {
	const px = (mm: number) => mm * pxPerMm;
	const [width, high] = [px(wide_mm), px(deep_mm)];
	const step = width / count;
	const wide = Math.min(px(piece.wide_mm), step - 1);
	const corners = Array.from({ length: layers * count }, (_, index) => ({
		x: step * ((index % count) + 0.5) - wide / 2,
		y: high - px(piece.high_mm) * (Math.floor(index / count) + 1),
	}));
	return (
		<svg
			width={width + 8}
			height={high + 6}
			viewBox={`-4 -2 ${width + 8} ${high + 6}`}
			role="img"
			aria-label={words}
			style={{ flex: "none" }}
		>
			<Rect x={0} y={high - px(line_mm)} width={width} height={px(line_mm)} fill="broth" />
			{corners.map(({ x, y }) => (
				<Rect
					key={`${x} ${y}`}
					x={x}
					y={y}
					width={wide}
					height={px(piece.high_mm)}
					rx={piece.round ? px(piece.high_mm) / 2 : Math.min(4, px(piece.high_mm) / 4)}
					fill="meat"
					stroke="meatEdge"
				/>
			))}
			<Path
				data-means="pan"
				d={`M-4,0 H0 V${high} H${width} V0 H${width + 4}`}
				fill="none"
				stroke="pan"
				strokeWidth={2.5}
			/>
		</svg>
	);
}
