import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";

/** A page is read anew no more often than this, ms. */
const LEAST_MS = 2500;
/** And at least so often: times go by without any news, ms. */
const MOST_MS = 30_000;

/**
 * Reads the page anew when something comes in that it shows.
 *
 * @param watches what it shows; everything where none is named
 * @returns whether the line stands
 */
export function useLive(watches: readonly number[]): "live" | "waiting" {
	const { revalidate } = useRevalidator();
	const [state, setState] = useState<"live" | "waiting">("waiting");
	const shown = useRef(watches);
	shown.current = watches;
	useEffect(() => {
		const line = new EventSource("/records/live");
		let last = Date.now();
		let due: ReturnType<typeof setTimeout> | null = null;
		const read = () => {
			due = null;
			last = Date.now();
			void revalidate();
		};
		const soon = () => {
			// Where nobody answers there is nobody to ask.
			if (line.readyState !== EventSource.OPEN) return;
			due ??= setTimeout(read, Math.max(0, last + LEAST_MS - Date.now()));
		};
		const slowly = setInterval(() => Date.now() - last > MOST_MS && soon(), 5000);
		line.addEventListener("open", () => setState("live"));
		line.addEventListener("error", () => setState("waiting"));
		line.addEventListener("news", ({ data }) => {
			const news: { watches: number[]; written: boolean } = JSON.parse(data);
			const { current } = shown;
			if (news.written || current.length === 0 || news.watches.some((watch) => current.includes(watch)))
				soon();
		});
		return () => {
			line.close();
			clearInterval(slowly);
			if (due) clearTimeout(due);
		};
	}, [revalidate]);
	return state;
}
