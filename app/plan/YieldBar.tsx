import { chakra } from "@chakra-ui/react/styled-system";
import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { fromBase } from "#core/quantity";
import { inputOf, setTrial } from "../places/setTrial.ts";
import { Label, Path, Svg } from "../ui/drawings/svg.tsx";
import { useShownWidth } from "../ui/drawings/useShownWidth.ts";
import { Figure, Muted, Sheet } from "../ui/parts/parts.tsx";
import type { LongTableView } from "./longTable.view.ts";

const Bar = chakra("div", {
	base: { display: "flex", height: "44px", position: "relative", marginTop: "6px", touchAction: "pan-y" },
});
const Part = chakra("div", {
	base: { minWidth: 0, border: "1px solid", borderColor: "edge" },
	variants: {
		of: {
			trim: { bg: "place" },
			bone: { bg: "bone" },
			cookingLoss: { bg: "steel" },
			cooked: { bg: "meat", borderColor: "meat" },
		},
	},
});
const End = chakra("button", {
	base: {
		position: "absolute",
		insetBlock: "-5px",
		width: "24px",
		padding: 0,
		bg: "transparent",
		border: 0,
		cursor: "ew-resize",
		touchAction: "none",
		"&::before": {
			content: '""',
			position: "absolute",
			insetBlock: 0,
			left: "9px",
			width: "6px",
			bg: "ink",
		},
	},
});

type BarView = NonNullable<LongTableView["table"]>["yieldBar"];

const LB_PER_KG = fromBase(1000, "lb");

/**
 * The purchase losing weight in the order of work, from what is bought at the left to the plates at
 * the right. Its ends are controls: the left one tries a weight on hand, the right one the covers.
 */
export function YieldBar({ bar }: { readonly bar: BarView }) {
	const element = useRef<HTMLDivElement>(null);
	const bought = bar.unit === "lb" ? bar.bought_kg * LB_PER_KG : bar.bought_kg;
	const tryBought = (share: number) => {
		const amount = Math.max(0.1, bought * share);
		setTrial({ basis: "onHand", onHand: `${amount.toFixed(1)} ${bar.unit}` });
	};
	const tryPortions = (share: number) => {
		const covers = Number(inputOf("covers")?.defaultValue ?? 0);
		setTrial({ basis: "covers", covers: String(Math.max(1, Math.round(covers * share))) });
	};
	return (
		<Sheet marginTop="10px" paddingBlock="10px 14px">
			<chakra.div display="flex" flexWrap="wrap" justifyContent="space-between" gap="4px 20px">
				<span>
					<Muted>Bought </Muted>
					<Figure fontSize="19px">{bar.bought}</Figure>
				</span>
				<span>
					<Muted>On plates </Muted>
					<Figure fontSize="19px">{bar.onPlates}</Figure>
				</span>
			</chakra.div>
			<Bar ref={element}>
				{bar.parts.map(({ key, share }) => (
					<Part key={key} of={key} style={{ width: `${share * 100}%` }} />
				))}
				<DragEnd
					side="right"
					label="Portions on plates"
					value={bar.portions}
					words={bar.onPlates}
					bar={element}
					onTry={tryPortions}
				/>
				<DragEnd
					side="left"
					label="Weight bought"
					value={bought}
					words={bar.bought}
					bar={element}
					onTry={tryBought}
				/>
			</Bar>
			<PartNames parts={bar.parts} />
		</Sheet>
	);
}

/** About how wide a letter is, px, and the way from one name to the next. */
const LETTER_PX = 8.4;
const BETWEEN_PX = 18;
const NAME_ROW = 24;
const FIRST = 1190;

/** The names of the parts under the bar, each led to by a line: beside each other, or one under another where there is no room. */
function PartNames({ parts }: Pick<BarView, "parts">) {
	const [svg, width] = useShownWidth(FIRST);
	const middles = parts.map(
		({ share }, index) =>
			(parts.slice(0, index).reduce((sum, part) => sum + part.share, 0) + share / 2) * width,
	);
	const wide = parts.map(({ words }) => words.length * LETTER_PX);
	const inARow = wide.reduce((sum, each) => sum + each + BETWEEN_PX, 0) <= width;
	const lefts = inARow ? besideEachOther(middles, wide, width) : [];
	const height = inARow ? NAME_ROW + 10 : parts.length * NAME_ROW + 4;
	return (
		<Svg
			ref={svg}
			viewBox={`0 0 ${width} ${height}`}
			role="img"
			aria-label={parts.map(({ words }) => words).join(", ")}
		>
			{parts.map(({ key, words }, index) => {
				const middle = middles[index] ?? 0;
				const own = wide[index] ?? 0;
				// The last part is named first, so that no line leads through a name.
				const top = inARow ? 10 : (parts.length - 1 - index) * NAME_ROW + 4;
				const left = inARow ? (lefts[index] ?? 0) : Math.min(middle + 6, width - own);
				const to = inARow ? left + own / 2 : middle;
				return (
					<g key={key}>
						<Path
							d={inARow ? `M${middle},0 L${to},${top}` : `M${middle},0 V${left > middle ? top + 14 : top}`}
							fill="none"
							stroke="edge"
							strokeWidth={1.2}
						/>
						<Label x={left} y={top + 16} fill="ink">
							{words}
						</Label>
					</g>
				);
			})}
		</Svg>
	);
}

/** Where each name begins: under its own part, or as near as its neighbours allow. */
function besideEachOther(middles: readonly number[], wide: readonly number[], width: number): number[] {
	const lefts: number[] = [];
	for (const [index, own] of wide.entries()) {
		const before = index === 0 ? 0 : (lefts[index - 1] ?? 0) + (wide[index - 1] ?? 0) + BETWEEN_PX;
		lefts.push(Math.max(before, (middles[index] ?? 0) - own / 2));
	}
	let end = width;
	for (let index = lefts.length - 1; index >= 0; index -= 1) {
		lefts[index] = Math.max(0, Math.min(lefts[index] ?? 0, end - (wide[index] ?? 0)));
		end = (lefts[index] ?? 0) - BETWEEN_PX;
	}
	return lefts;
}

interface DragEndProps {
	readonly side: "left" | "right";
	readonly label: string;
	readonly value: number;
	readonly words: string;
	readonly bar: React.RefObject<HTMLDivElement | null>;
	/** Tries so many times the value it had when the drag began. */
	readonly onTry: (share: number) => void;
}

/** One end of the bar: pulled outwards it grows; so it does by the keys right and up, 2 % a step. */
function DragEnd({ side, label, value, words, bar, onTry }: DragEndProps) {
	const from = useRef<number | null>(null);
	const outward = side === "right" ? 1 : -1;
	const start = (event: PointerEvent<HTMLButtonElement>) => {
		from.current = event.clientX;
		event.currentTarget.setPointerCapture(event.pointerId);
	};
	const end = (event: PointerEvent<HTMLButtonElement>) => {
		if (from.current === null) return;
		const moved = (outward * (event.clientX - from.current)) / (bar.current?.clientWidth ?? 1);
		from.current = null;
		if (Math.abs(moved) > 0.004) onTry(Math.max(0.05, 1 + moved));
	};
	const step = (event: KeyboardEvent) => {
		const by = { ArrowRight: 1, ArrowLeft: -1, ArrowUp: 1, ArrowDown: -1 }[event.key];
		if (by === undefined) return;
		event.preventDefault();
		onTry(1 + by * 0.02);
	};
	return (
		<End
			type="button"
			role="slider"
			aria-label={label}
			aria-valuenow={Number(value.toFixed(1))}
			aria-valuemin={0}
			aria-valuetext={words}
			style={{ [side]: "-12px" }}
			onPointerDown={start}
			onPointerUp={end}
			onPointerCancel={() => {
				from.current = null;
			}}
			onKeyDown={step}
		/>
	);
}
