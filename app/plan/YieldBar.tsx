import { chakra } from "@chakra-ui/react/styled-system";
import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import { inputOf, setTrial } from "../places/setTrial.ts";
import { Figure, Muted, Sheet } from "../ui/parts/parts.tsx";
import type { LongTableView } from "./longTable.view.ts";

const Bar = chakra("div", {
	base: { display: "flex", height: "44px", position: "relative", marginTop: "6px", touchAction: "pan-y" },
});
const Part = chakra("div", {
	base: {
		display: "flex",
		alignItems: "center",
		paddingInline: "12px",
		whiteSpace: "nowrap",
		overflow: "hidden",
		minWidth: 0,
	},
	variants: {
		of: {
			cooked: { bg: "meat", color: "white" },
			cookingLoss: { bg: "broth", color: "brothInk" },
			bone: { bg: "bone", color: "brothInk" },
			trim: { bg: "place", color: "ink" },
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

const LB_PER_KG = 1 / 0.45359237;

/**
 * The purchase losing weight down to the plate. Its ends are controls: the right one,
 * where the purchase ends, tries a weight on hand; the left one tries the covers.
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
					<Muted>On plates </Muted>
					<Figure fontSize="19px">{bar.onPlates}</Figure>
				</span>
				<span>
					<Muted>Bought </Muted>
					<Figure fontSize="19px">{bar.bought}</Figure>
				</span>
			</chakra.div>
			<Bar ref={element}>
				{bar.parts.map(({ key, words, share }) => (
					<Part key={key} of={key} style={{ width: `${share * 100}%` }} title={words}>
						{share > 0.07 ? words : ""}
					</Part>
				))}
				<DragEnd
					side="left"
					label="Portions on plates"
					value={bar.portions}
					words={bar.onPlates}
					bar={element}
					onTry={tryPortions}
				/>
				<DragEnd
					side="right"
					label="Weight bought"
					value={bought}
					words={bar.bought}
					bar={element}
					onTry={tryBought}
				/>
			</Bar>
		</Sheet>
	);
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

/** One end of the bar: pulled outwards it grows, by pointer or by arrow keys (2 % a step). */
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
		const by = { ArrowRight: outward, ArrowLeft: -outward, ArrowUp: 1, ArrowDown: -1 }[event.key];
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
