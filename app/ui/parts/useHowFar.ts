import { useEffect, useState } from "react";

/** How far something is that the server does. */
export interface HowFar {
	readonly done: number;
	readonly all: number;
}

/** Between two looks at how far it is, ms. */
const LOOK_MS = 500;

/**
 * How far something is that is being done.
 *
 * @param name what it is called while it is done; null while nothing is
 */
export function useHowFar(name: string | null): HowFar | null {
	const [far, setFar] = useState<HowFar | null>(null);
	useEffect(() => {
		setFar(null);
		if (name === null) return;
		const look = setInterval(() => void lookAt(name).then(setFar), LOOK_MS);
		return () => clearInterval(look);
	}, [name]);
	return far;
}

/** @returns null where it is not known: nobody stops waiting for that */
async function lookAt(name: string): Promise<HowFar | null> {
	try {
		const answer = await fetch(`/under-way/${encodeURIComponent(name)}`);
		return answer.ok ? await answer.json() : null;
	} catch {
		return null;
	}
}
