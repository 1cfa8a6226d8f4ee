import { chakra } from "@chakra-ui/react/styled-system";
import { OVEN_PX_PER_MM } from "./CavityFrame.tsx";
import type { OvenPans } from "./drawings.ts";
import { PanSide, panHigh } from "./PansOnRungs.tsx";

/** More than these are counted and not drawn. */
const MOST_DRAWN = 6;
const GAP_PX = 8;
const FLOOR_PX = 6;

const Floor = chakra("rect", { base: { fill: "pan" } });

/** Pans that have no rung: they stand on the floor before the ovens, in the scale of the ovens, and say so. */
export function PansOnFloor({ pans, of }: { readonly pans: readonly OvenPans[]; readonly of: string }) {
	const count = pans.reduce((sum, kind) => sum + kind.count, 0);
	const all = pans
		.flatMap((kind) => Array.from({ length: Math.min(kind.count, MOST_DRAWN) }, () => kind))
		.slice(0, MOST_DRAWN);
	const high = Math.max(0, ...all.map(({ depth_mm }) => panHigh(depth_mm))) + 4;
	const lefts = all.map((_, index) =>
		all.slice(0, index).reduce((sum, { width_mm }) => sum + width_mm * OVEN_PX_PER_MM + GAP_PX, 4),
	);
	const width = all.reduce((sum, { width_mm }) => sum + width_mm * OVEN_PX_PER_MM + GAP_PX, 4);
	if (count === 0) return null;
	return (
		<chakra.figure maxWidth="100%">
			<svg
				width={width}
				height={high + FLOOR_PX}
				viewBox={`0 0 ${width} ${high + FLOOR_PX}`}
				role="img"
				aria-label={`${count} of ${of}: no rung`}
				style={{ maxWidth: "100%", height: "auto" }}
			>
				{all.map(({ width_mm, depth_mm }, index) => (
					<PanSide
						// biome-ignore lint/suspicious/noArrayIndexKey: they stand in a row
						key={index}
						left={lefts[index] ?? 0}
						bottom={high}
						wide={width_mm * OVEN_PX_PER_MM}
						high={panHigh(depth_mm)}
					/>
				))}
				<Floor x={0} y={high} width={width} height={FLOOR_PX} />
			</svg>
			<chakra.figcaption marginTop="6px" fontSize="17px" lineHeight="1.3">
				<chakra.b fontFamily="head" fontSize="19px">
					▲ no rung
				</chakra.b>
				<br />
				{count} of {of}
			</chakra.figcaption>
		</chakra.figure>
	);
}
