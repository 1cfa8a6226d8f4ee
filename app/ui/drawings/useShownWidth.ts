import { type RefObject, useLayoutEffect, useRef, useState } from "react";

/** About how wide the column of a drawing is at the desk, px. */
const FIRST_PX = 640;
/** No screen shows one narrower: a window is, for a moment, while it is set up for a picture or for paper. */
const LEAST_PX = 160;

/**
 * How wide a drawing is shown, so that it is laid out in the pixels of the screen and its text keeps
 * its size at any width.
 *
 * @param first width it is laid out in until it stands on a screen, px
 * @param isFixed it stays so wide: on paper, where nothing is laid out again
 */
export function useShownWidth<Drawn extends Element = SVGSVGElement>(
	first = FIRST_PX,
	isFixed = false,
): readonly [RefObject<Drawn | null>, number] {
	const drawing = useRef<Drawn>(null);
	const [width, setWidth] = useState(first);
	useLayoutEffect(() => {
		const element = drawing.current;
		if (!element || isFixed) return;
		const measure = () => {
			const shown = Math.round(element.getBoundingClientRect().width);
			if (shown >= LEAST_PX) setWidth(shown);
		};
		measure();
		const watch = new ResizeObserver(measure);
		watch.observe(element);
		return () => watch.disconnect();
	}, [isFixed]);
	return [drawing, width];
}
