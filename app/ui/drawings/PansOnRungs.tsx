import { chakra } from "@chakra-ui/react/styled-system";
import { type CavityInside, OVEN_PX_PER_MM, OVEN_WALL_PX } from "./CavityFrame.tsx";
import type { OvenPans } from "./drawings.ts";

const GAP_PX = 6;
const LEAST_PX = 8;

const Wall = chakra("path", { base: { fill: "meat", stroke: "pan", strokeWidth: 2 } });
const Lid = chakra("rect", { base: { fill: "pan" } });
const Words = chakra("text", {
	base: { fill: "white", fontFamily: "head", fontWeight: 700, fontSize: "18px", dominantBaseline: "middle" },
});

interface PanSideProps {
	readonly left: number;
	readonly bottom: number;
	readonly wide: number;
	readonly high: number;
}

/** A pan from the side with its lid, px. */
export function PanSide({ left, bottom, wide, high }: PanSideProps) {
	return (
		<g>
			<Wall data-means="pan" d={`M${left},${bottom - high} h${wide} l-6,${high} h${12 - wide} z`} />
			<Lid x={left - 2} y={bottom - high - 3} width={wide + 4} height={4} />
		</g>
	);
}

/** How high a pan is drawn, px. */
export function panHigh(depth_mm: number): number {
	return Math.max(LEAST_PX, depth_mm * OVEN_PX_PER_MM - 3);
}

interface PansOnRungsProps {
	readonly pans: readonly OvenPans[];
	/** That they take, counted from the bottom. */
	readonly rungs: readonly number[];
	readonly inside: CavityInside;
	/** What stands on the lowest of them, in so much room, px. */
	readonly label?: (room: number) => string;
}

/** Pans on their rungs, to scale; the lowest carries its letter and when it comes out. */
export function PansOnRungs({ pans, rungs, inside: { width, floor, rung }, label }: PansOnRungsProps) {
	const drawn = drawnPans(pans, rungs);
	const [lowest] = drawn;
	return (
		<g>
			{drawn.map(({ level, place, across, depth_mm, width_mm }) => {
				const slot = width / across;
				const wide = Math.min(width_mm * OVEN_PX_PER_MM, slot - GAP_PX);
				return (
					<PanSide
						key={`${level} ${place}`}
						left={OVEN_WALL_PX + place * slot + (slot - wide) / 2}
						bottom={floor - level * rung - 1}
						wide={wide}
						high={panHigh(depth_mm)}
					/>
				);
			})}
			{lowest && label ? (
				<Words
					x={OVEN_WALL_PX + (width / lowest.across) * (lowest.place + 0.5)}
					y={floor - lowest.level * rung - panHigh(lowest.depth_mm) / 2}
					textAnchor="middle"
				>
					{label(width / lowest.across)}
				</Words>
			) : null}
		</g>
	);
}

interface DrawnPan {
	readonly level: number;
	readonly place: number;
	readonly across: number;
	readonly depth_mm: number;
	readonly width_mm: number;
}

/** Level by level from the lowest rung they have. */
function drawnPans(pans: readonly OvenPans[], rungs: readonly number[]): DrawnPan[] {
	const levels = pans.reduce((sum, { count, across }) => sum + Math.ceil(count / across), 0);
	const high = levels > 0 ? rungs.length / levels : 1;
	const drawn: DrawnPan[] = [];
	let done = 0;
	for (const { count, across, depth_mm, width_mm } of pans) {
		for (let pan = 0; pan < count; pan += 1) {
			const level = rungs[Math.round((done + Math.floor(pan / across)) * high)];
			if (level !== undefined) drawn.push({ level, place: pan % across, across, depth_mm, width_mm });
		}
		done += Math.ceil(count / across);
	}
	return drawn;
}
