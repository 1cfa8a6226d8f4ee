import { chakra } from "@chakra-ui/react/styled-system";
import type { KeyboardEvent, PointerEvent } from "react";

const Grip = chakra("g", {
	base: {
		cursor: "ns-resize",
		touchAction: "none",
		outline: "none",
		"& .grip": { fill: "ink" },
		"& .grip + path": { stroke: "sheet" },
		"&:focus-visible .ring": { stroke: "focus", strokeWidth: 3 },
	},
});

interface LevelGripProps {
	readonly label: string;
	/** What a reader hears for where it is. */
	readonly text: string;
	readonly now: number;
	readonly most: number;
	/** Height of the level in the drawing, and the width it is drawn over, px. */
	readonly y: number;
	readonly width: number;
	/** Room at the right in which it can be taken hold of too, px. */
	readonly beside?: number;
	/** The value under a pointer. */
	readonly valueAt: (event: PointerEvent) => number;
	/** Where a key takes it; undefined for keys that mean nothing here. */
	readonly keyTo: (key: string) => number | undefined;
	readonly onMove: (value: number) => void;
	/** Called when it is let go. */
	readonly onDrop?: () => void;
}

/** A level in a drawing as a control: by pointer and by arrow keys. */
export function LevelGrip(props: LevelGripProps) {
	const { label, text, now, most, y, width, beside = 0, valueAt, keyTo, onMove, onDrop } = props;
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
	const middle = width / 2;
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
			<rect x={0} y={y - 22} width={width + beside} height={44} fill="transparent" />
			<rect className="ring" x={middle - 34} y={y - 13} width={68} height={26} fill="none" />
			<rect className="grip" x={middle - 30} y={y - 9} width={60} height={18} />
			<path
				d={`M${middle - 7},${y - 2} l7,-5 l7,5 M${middle - 7},${y + 2} l7,5 l7,-5`}
				fill="none"
				strokeWidth={1.6}
			/>
		</Grip>
	);
}
