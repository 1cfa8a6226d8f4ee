import { chakra } from "@chakra-ui/react/styled-system";
import { Label, Rect, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

const Big = chakra("text", { base: { fill: "ink", fontFamily: "head", fontWeight: 700, fontSize: "18px" } });
const PACK = { width: 84, height: 52, gap: 8 };
/** More packs than fit in so many rows are drawn as a number. */
const MOST_ROWS = 3;
/** Under the packs, for what the last one has over. */
const BELOW = 26;

export interface PacksDrawing {
	readonly packs: number;
	/** What one holds, as it is read. */
	readonly each: string;
	/** Share of the last pack that is needed, over 0 to 1. */
	readonly lastShare: number;
	/** "0.3 kg spare"; empty where nothing is over. */
	readonly spare: string;
	readonly words: string;
}

/** What is ordered, pack by pack, each as large as the others; what of the last is not needed stays white. */
export function Packs({
	drawing: { packs, each, lastShare, spare, words },
}: {
	readonly drawing: PacksDrawing;
}) {
	const [svg, width] = useShownWidth();
	const aRow = Math.max(1, Math.floor((width - 2 + PACK.gap) / (PACK.width + PACK.gap)));
	const drawn = Math.min(packs, aRow * MOST_ROWS);
	const rows = Math.ceil(drawn / aRow);
	const height = rows * (PACK.height + PACK.gap) + BELOW;
	const at = (index: number) => ({
		x: 1 + (index % aRow) * (PACK.width + PACK.gap),
		y: 1 + Math.floor(index / aRow) * (PACK.height + PACK.gap),
	});
	return (
		<Svg ref={svg} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={words}>
			{Array.from({ length: drawn }, (_, index) => {
				const { x, y } = at(index);
				const share = index === packs - 1 ? lastShare : 1;
				return (
					<g key={`${x} ${y}`}>
						<Rect x={x} y={y} width={PACK.width} height={PACK.height} fill="sheet" />
						<Rect
							x={x}
							y={y + PACK.height * (1 - share)}
							width={PACK.width}
							height={PACK.height * share}
							fill="place"
						/>
						<Rect
							data-means="pack"
							x={x}
							y={y}
							width={PACK.width}
							height={PACK.height}
							fill="none"
							stroke="pan"
							strokeWidth={2}
						/>
						<Big x={x + PACK.width / 2} y={y + PACK.height / 2 + 6} textAnchor="middle">
							{each}
						</Big>
					</g>
				);
			})}
			<Label x={1} y={height - 6}>
				{[drawn < packs ? `${packs} packs in all` : "", spare].filter(Boolean).join(", ")}
			</Label>
		</Svg>
	);
}
