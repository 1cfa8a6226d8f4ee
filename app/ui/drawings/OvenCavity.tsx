import { chakra } from "@chakra-ui/react/styled-system";
import type { OvenDrawing } from "./drawings.ts";
import { heatColour } from "./heat.ts";

const Svg = chakra("svg", { base: { width: "100%", maxWidth: "260px", height: "auto" } });
const Rect = chakra("rect");
const Line = chakra("line", { base: { stroke: "edge", strokeWidth: 1.5 } });
const Path = chakra("path");

const WIDTH = 260;
const HEIGHT = 230;
const WALL = 12;
/** Free height a pan keeps under the rung above it, mm. */
const OVER_PAN_MM = 10;

/** An oven as a cavity with its rungs and the pans on them, from the bottom up. */
export function OvenCavity({ oven }: { readonly oven: OvenDrawing }) {
	const inner = { width: WIDTH - 2 * WALL, height: HEIGHT - 2 * WALL };
	const rung = inner.height / oven.rungs;
	const y = (index: number) => HEIGHT - WALL - index * rung;
	return (
		<figure>
			<Svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={oven.words}>
				<Rect x={2} y={2} width={WIDTH - 4} height={HEIGHT - 4} fill="steel" stroke="pan" strokeWidth={3} />
				<Rect x={WALL} y={WALL} width={inner.width} height={inner.height} fill="sheet" />
				<Rect
					x={WALL}
					y={HEIGHT - 9}
					width={inner.width}
					height={5}
					style={{ fill: heatColour(oven.set_C) }}
				/>
				{Array.from({ length: oven.rungs }, (_, index) => (
					<Line key={`rung ${y(index)}`} x1={WALL} x2={WIDTH - WALL} y1={y(index)} y2={y(index)} />
				))}
				{onRungs(oven).map(({ rungIndex, place, across, depth_mm }) => {
					const wide = inner.width / across - 8;
					const left = WALL + 4 + place * (inner.width / across);
					const top = y(rungIndex) - (depth_mm / oven.pitch_mm) * rung;
					return (
						<Path
							key={`${rungIndex} ${place}`}
							d={`M${left},${top} h${wide} l-5,${y(rungIndex) - top - 2} h${10 - wide} z`}
							fill="meat"
							stroke="pan"
							strokeWidth={2}
						/>
					);
				})}
			</Svg>
			<chakra.figcaption marginTop="4px">
				<b>{oven.name}</b>, {oven.set}
			</chakra.figcaption>
		</figure>
	);
}

interface OnRung {
	readonly rungIndex: number;
	readonly place: number;
	/** Pans side by side as seen from the door. */
	readonly across: number;
	readonly depth_mm: number;
}

const SHELF_AREA: Readonly<Record<OvenDrawing["wide"], number>> = {
	"2/1": 2,
	"1/1": 1,
	"2/3": 2 / 3,
	"1/2": 1 / 2,
	"1/3": 1 / 3,
	"1/4": 1 / 4,
	"1/6": 1 / 6,
};
const ONE_MM2 = 530 * 325;

function onRungs(oven: OvenDrawing): OnRung[] {
	const found: OnRung[] = [];
	let rungIndex = 0;
	for (const { count, depth_mm, length_mm, width_mm } of oven.pans) {
		const share = (length_mm * width_mm) / ONE_MM2;
		const across = Math.max(1, Math.round(SHELF_AREA[oven.wide] / share));
		const high = Math.max(1, Math.ceil((depth_mm + OVER_PAN_MM) / oven.pitch_mm));
		for (let pan = 0; pan < count; pan += 1) {
			found.push({
				rungIndex: rungIndex + Math.floor(pan / across) * high,
				place: pan % across,
				across,
				depth_mm,
			});
		}
		rungIndex += Math.ceil(count / across) * high;
	}
	return found;
}
