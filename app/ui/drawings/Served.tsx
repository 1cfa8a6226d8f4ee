import { chakra } from "@chakra-ui/react/styled-system";
import { spreadOut } from "./spreadOut.ts";
import { Label, Line, Rect, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

const Ellipse = chakra("ellipse");
/** The widest what it is served in is drawn, px. */
const WIDEST = 300;
/** Room for the names at the right, px. */
const NAMES = 150;
const ABOVE = 30;
const NAME_STEP = 24;

/** What one guest, or one platter, gets, as large as it is. */
export interface ServedDrawing {
	/** What it lies on, mm, and whether that is round. */
	readonly across_mm: number;
	readonly down_mm: number;
	readonly round: boolean;
	readonly across: string;
	/** Pieces as they lie, mm. */
	readonly pieces: readonly { readonly wide_mm: number; readonly high_mm: number }[];
	/** Across the pool of sauce, mm. */
	readonly sauce_mm: number;
	/** What goes on, from the bottom up. */
	readonly order: readonly string[];
	readonly words: string;
}

/** A plate, platter or box from above, to scale: the pool of its sauce, its pieces, and what goes on in which order. */
export function Served({ served }: { readonly served: ServedDrawing }) {
	const [svg, shown] = useShownWidth();
	const wide = Math.min(WIDEST, shown - NAMES);
	const scale = wide / served.across_mm;
	const high = served.down_mm * scale;
	const middle = { x: wide / 2 + 2, y: high / 2 };
	const pool = served.sauce_mm * scale;
	const names = spreadOut(
		served.order.map((_, index) => high * ((index + 1) / (served.order.length + 1))),
		NAME_STEP,
		[10, Math.max(high, served.order.length * NAME_STEP)],
	).reverse();
	const height = Math.max(high, ...names) + ABOVE + 12;
	return (
		<Svg ref={svg} viewBox={`0 ${-ABOVE} ${shown} ${height}`} role="img" aria-label={served.words}>
			<Line x1={2} x2={wide + 2} y1={-8} y2={-8} />
			<Label x={middle.x} y={-14} textAnchor="middle">
				{served.across}
			</Label>
			{served.round ? (
				<Ellipse
					data-means="plate"
					cx={middle.x}
					cy={middle.y}
					rx={wide / 2}
					ry={high / 2}
					fill="place"
					stroke="pan"
					strokeWidth={2}
				/>
			) : (
				<Rect
					data-means="box"
					x={2}
					y={0}
					width={wide}
					height={high}
					rx={10}
					fill="place"
					stroke="pan"
					strokeWidth={2}
				/>
			)}
			{pool > 0 ? (
				<Ellipse
					cx={middle.x}
					cy={middle.y}
					rx={Math.min(pool, wide) / 2}
					ry={Math.min(pool, high) / 2}
					fill="broth"
				/>
			) : null}
			{laid(served, scale).map(({ x, y, width, height: tall }) => (
				<Rect
					key={`${x} ${y}`}
					x={middle.x + x}
					y={middle.y + y}
					width={width}
					height={tall}
					rx={Math.min(10, tall / 4)}
					fill="meat"
					stroke="meatEdge"
				/>
			))}
			{served.order.map((name, index) => (
				<Label key={name} x={wide + 16} y={(names[index] ?? 0) + 5} fill="ink">
					{index + 1}. {name}
				</Label>
			))}
		</Svg>
	);
}

/** Side by side in rows about the middle, with a little room between, px from the middle. */
function laid({ pieces, across_mm }: ServedDrawing, scale: number) {
	const gap = 6;
	const rows: { wide_mm: number; high_mm: number }[][] = [];
	for (const piece of pieces) {
		const row = rows.at(-1);
		const used = row?.reduce((sum, { wide_mm }) => sum + wide_mm, 0) ?? 0;
		if (row && used + piece.wide_mm <= across_mm * 0.72) row.push(piece);
		else rows.push([piece]);
	}
	const tall = rows.reduce(
		(sum, row) => sum + Math.max(...row.map(({ high_mm }) => high_mm)) * scale + gap,
		-gap,
	);
	let y = -tall / 2;
	return rows.flatMap((row) => {
		const high = Math.max(...row.map(({ high_mm }) => high_mm)) * scale;
		let x = -row.reduce((sum, { wide_mm }) => sum + wide_mm * scale + gap, -gap) / 2;
		const placed = row.map(({ wide_mm, high_mm }) => {
			const at = { x, y: y + (high - high_mm * scale) / 2, width: wide_mm * scale, height: high_mm * scale };
			x += wide_mm * scale + gap;
			return at;
		});
		y += high + gap;
		return placed;
	});
}
