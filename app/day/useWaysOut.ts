import { nanoid } from "nanoid";
import { useCallback, useEffect, useRef, useState } from "react";
import { type HowFar, useHowFar } from "../ui/parts/useHowFar.ts";
import type { WaysOutView } from "./waysOut.ts";

export interface Search {
	readonly found: WaysOutView | null;
	readonly isLooking: boolean;
	readonly far: HowFar | null;
	look(): void;
	stop(): void;
}

const NOT_ANSWERED: WaysOutView = {
	says: "The server did not answer. Nothing was changed; look again.",
	ways: [],
};

/** Looks for what would free a day, says how far it is, and can be stopped. */
export function useWaysOut(date: string): Search {
	const [found, setFound] = useState<WaysOutView | null>(null);
	const [name, setName] = useState<string | null>(null);
	const running = useRef<AbortController | null>(null);
	const far = useHowFar(name);
	const stop = useCallback(() => {
		running.current?.abort();
		running.current = null;
		setName(null);
	}, []);
	useEffect(() => stop, [stop]);
	const look = useCallback(async () => {
		stop();
		const mine = new AbortController();
		running.current = mine;
		const called = `ways-${nanoid()}`;
		setName(called);
		const ways = await askFor(date, called, mine.signal);
		if (running.current !== mine) return;
		running.current = null;
		setName(null);
		setFound(ways);
	}, [date, stop]);
	return { found, isLooking: name !== null, far, look, stop };
}

async function askFor(date: string, name: string, signal: AbortSignal): Promise<WaysOutView> {
	try {
		const answer = await fetch(`/day/${date}/ways?name=${name}`, { signal });
		return answer.ok ? await answer.json() : NOT_ANSWERED;
	} catch {
		return NOT_ANSWERED;
	}
}
