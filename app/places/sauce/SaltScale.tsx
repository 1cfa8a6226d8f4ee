import { scaleLinear } from "d3-scale";
import { Label, Line, Rect, Svg } from "../../ui/drawings/svg.tsx";
import { useShownWidth } from "../../ui/drawings/useShownWidth.ts";

/** Width it is laid out in until it is shown, px. */
const FIRST = 560;
/** The scale reaches at least so far, %. */
const MOST_PCT = 2;

interface SaltScaleProps {
	readonly pct: number;
	readonly band: { readonly low: number; readonly high: number };
}

/** Salt of the sauce on a scale with the house's band. */
export function SaltScale({ pct, band }: SaltScaleProps) {
	const most = Math.max(MOST_PCT, pct * 1.1);
	const [svg, shown] = useShownWidth(FIRST);
	const right = shown - 12;
	const x = scaleLinear().domain([0, most]).range([0, right]);
	const where = pct > band.high ? "over" : pct < band.low ? "under" : "within";
	const words = `Salt ${pct.toFixed(2)} %, ${where} the house band of ${band.low} to ${band.high} %.`;
	return (
		<Svg ref={svg} maxWidth="560px" viewBox={`-6 0 ${shown} 64`} role="img" aria-label={words}>
			<Line x1={0} x2={right} y1={34} y2={34} strokeWidth={2} />
			<Rect
				x={x(band.low)}
				y={26}
				width={x(band.high) - x(band.low)}
				height={16}
				fill="steel"
				stroke="edge"
			/>
			<Label x={(x(band.low) + x(band.high)) / 2} y={60} textAnchor="middle">
				house {band.low}–{band.high} %
			</Label>
			<Line x1={x(pct)} x2={x(pct)} y1={22} y2={46} stroke="ink" strokeWidth={4} />
			<Label x={x(pct)} y={16} textAnchor={anchorAt(x(pct), right)} fill="ink" fontWeight="650">
				salt {pct.toFixed(2)} %, {where}
			</Label>
		</Svg>
	);
}

/** Half of what stands over the mark, px. */
const HALF_WORDS = 80;

/** Words over a mark stay within the drawing. */
function anchorAt(x: number, right: number): "start" | "middle" | "end" {
	if (x < HALF_WORDS) return "start";
	return x > right - HALF_WORDS ? "end" : "middle";
}
