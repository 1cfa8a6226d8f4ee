import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from "react";
import type { DayView } from "./day.view.ts";
import { carried, type Lifted, type LiftView, liftView } from "./lift.ts";

/** Where a pointer is: over which oven, and when or on which rung. */
export type Locate = (event: PointerEvent, grabbed: Grabbed) => Partial<Lifted>;

/** Where and how pans were taken up. */
export interface Grabbed {
	readonly x: number;
	readonly from: number;
	readonly oven: string;
}

export interface Lift {
	readonly view: LiftView | null;
	/** Handlers of something that can be lifted. */
	handle(id: string, oven: string, from: number, locate: Locate): LiftHandlers;
	readonly putBack: () => void;
	readonly putDown: () => void;
}

interface LiftHandlers {
	onPointerDown(event: PointerEvent): void;
	onPointerMove(event: PointerEvent): void;
	onPointerUp(event: PointerEvent): void;
	onPointerCancel(event: PointerEvent): void;
	onKeyDown(event: KeyboardEvent): void;
}

/** A pointer that moves less than this has only touched, px. */
const TOUCHES_PX = 6;

/**
 * Pans lifted by mouse, touch or keys: Enter lifts and puts down, arrows carry, Escape puts back.
 *
 * @param onDown what is put down, and where
 */
export function useLift(view: DayView, onDown: (lift: LiftView) => void): Lift {
	const [lifted, setLifted] = useState<Lifted | null>(null);
	const grabbed = useRef<(Grabbed & { y: number; moved: boolean }) | null>(null);
	const shown = useMemo(() => liftView(view, lifted), [view, lifted]);
	const putBack = () => {
		grabbed.current = null;
		setLifted(null);
	};
	const putDown = () => {
		if (shown) onDown(shown);
		setLifted(null);
	};
	const handle: Lift["handle"] = (id, oven, from, locate) => ({
		onPointerDown(event) {
			if (event.button !== 0) return;
			event.currentTarget.setPointerCapture(event.pointerId);
			grabbed.current = { x: event.clientX, y: event.clientY, from, oven, moved: false };
		},
		onPointerMove(event) {
			const start = grabbed.current;
			if (!start) return;
			start.moved ||= Math.hypot(event.clientX - start.x, event.clientY - start.y) >= TOUCHES_PX;
			if (start.moved) setLifted({ id, oven, start: from, ...locate(event, start) });
		},
		onPointerUp() {
			const start = grabbed.current;
			grabbed.current = null;
			if (start?.moved) putDown();
		},
		onPointerCancel: putBack,
		onKeyDown(event) {
			if (event.key === "Enter") {
				event.preventDefault();
				if (lifted?.id === id) putDown();
				else setLifted({ id, oven, start: from });
				return;
			}
			if (lifted?.id !== id) return;
			if (event.key === "Escape") {
				putBack();
				return;
			}
			const next = carried(view, lifted, event.key);
			if (!next) return;
			event.preventDefault();
			setLifted(next);
		},
	});
	return { view: shown, handle, putBack, putDown };
}
