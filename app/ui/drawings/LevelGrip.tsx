import { chakra } from "@chakra-ui/react/styled-system";
import type { KeyboardEvent, PointerEvent } from "react";

const Grip = chakra("g", {
	base: {
		cursor: "ns-resize",
		touchAction: "none",
		outline: "none",
		"& .grip": { fill: "ink" },
		"& text": { fill: "sheet", fontFamily: "head", fontWeight: 700, fontSize: "17px" },
		"& path": { stroke: "sheet" },
		"&:focus-visible .ring": { stroke: "focus", strokeWidth: 3 },
	},
});

/** How wide and how high the grip is, px. */
export const GRIP = { width: 66, height: 44 };

interface LevelGripProps {
	readonly label: string;
	/** What a reader hears for where it is. */
	readonly text: string;
	/** What stands in it: the level with its unit. */
	readonly figure: string;
	readonly now: number;
	readonly most: number;
	/** Height of the level in the drawing, and where the grip begins outside the right wall, px. */
	readonly y: number;
	readonly x: number;
	/** The value under a pointer. */
	readonly valueAt: (event: PointerEvent) => number;
	/** Where a key takes it; undefined for keys that mean nothing here. */
	readonly keyTo: (key: string) => number | undefined;
	readonly onMove: (value: number) => void;
	/** Called when it is let go. */
	readonly onDrop?: () => void;
}

/** A level in a drawing as a control, held beside it: by pointer and by arrow keys. */
export function LevelGrip(props: LevelGripProps) {
	const { label, text, figure, now, most, y, x, valueAt, keyTo, onMove, onDrop } = props;
	const move = (event: PointerEvent<SVGGElement>) => {
		if (event.currentTarget.hasPointerCapture(event.pointerId)) onMove(valueAt(event));
	};
	const drop = (event: PointerEvent<SVGGElement>) => {
		if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
		event.currentTarget.releasePointerCapture(event.pointerId);
		onDrop?.();
	};
	const step = (event: KeyboardEvent) => {
		const to = keyTo(event.key);
		if (to === undefined) return;
		event.preventDefault();
		onMove(to);
		onDrop?.();
	};
	const middle = x + GRIP.width / 2;
	const half = GRIP.height / 2;
	return (
		<Grip
			role="slider"
			tabIndex={0}
			aria-orientation="vertical"
			aria-label={label}
			aria-valuenow={now}
			aria-valuemin={0}
			aria-valuemax={most}
			aria-valuetext={text}
			onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
			onPointerMove={move}
			onPointerUp={drop}
			onPointerCancel={drop}
			onKeyDown={step}
		>
			<rect
				className="ring"
				x={x - 3}
				y={y - half - 3}
				width={GRIP.width + 6}
				height={GRIP.height + 6}
				fill="none"
			/>
			<rect className="grip" data-means="grip" x={x} y={y - half} width={GRIP.width} height={GRIP.height} />
			<text x={middle} y={y + 6} textAnchor="middle">
				{figure}
			</text>
			<path
				d={`M${middle - 7},${y - 12} l7,-5 l7,5 M${middle - 7},${y + 12} l7,5 l7,-5`}
				fill="none"
				strokeWidth={1.8}
			/>
		</Grip>
	);
}
