import { type RefObject, useLayoutEffect, useRef, useState } from "react";

/**
 * How wide a drawing is shown, so that it is laid out in the pixels of the screen and its text keeps
 * its size at any width.
 *
 * @param first width it is laid out in until it stands on a screen, and on paper, px
 */
export function useShownWidth(first: number): readonly [RefObject<SVGSVGElement | null>, number] {
	const drawing = useRef<SVGSVGElement>(null);
	const [width, setWidth] = useState(first);
	useLayoutEffect(() => {
		const element = drawing.current;
		if (!element) return;
		const measure = () => {
			const shown = Math.round(element.getBoundingClientRect().width);
			if (shown > 0 && !matchMedia("print").matches) setWidth(shown);
		};
		measure();
		const watch = new ResizeObserver(measure);
		watch.observe(element);
		return () => watch.disconnect();
	}, []);
	return [drawing, width];
}
