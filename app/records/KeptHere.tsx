import { useCallback, useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { Heading, Note } from "../ui/parts/parts.tsx";
import { counted } from "../ui/words/reading.ts";
import { type Kept, keptOn, sendAsForm, sendKept } from "./kept.ts";

/** They are sent again so often while nobody answers, ms. */
const AGAIN_MS = 10_000;

/**
 * What was written while the server was out of reach: told, and sent as soon as it answers.
 *
 * @param news changes when something more is kept
 */
export function KeptHere({ news }: { readonly news: unknown }) {
	const { waiting, refused } = useKept(news);
	if (waiting.length + refused.length === 0) return null;
	return (
		<Note role="status" marginBlock="10px">
			{waiting.length > 0 ? (
				<>
					<Heading>Kept here, {waiting.length} waiting</Heading>
					<p>
						{waiting.map(({ words }) => words).join("; ")}. Sent by itself when the house's server answers
						again; leave this device switched on.
					</p>
				</>
			) : null}
			{refused.length > 0 ? (
				<>
					<Heading>▲ {counted(refused.length, "entry", "entries")} that waited could not be written</Heading>
					<p>
						{refused.map(({ words }) => words).join("; ")}. See whether it still holds, and write it again.
					</p>
				</>
			) : null}
		</Note>
	);
}

function useKept(news: unknown) {
	const { revalidate } = useRevalidator();
	const [waiting, setWaiting] = useState<readonly Kept[]>([]);
	const [refused, setRefused] = useState<readonly Kept[]>([]);
	const sending = useRef(false);
	const send = useCallback(async () => {
		const before = keptOn(localStorage);
		setWaiting(before);
		if (before.length === 0 || sending.current) return;
		sending.current = true;
		const not = await sendKept(localStorage, sendAsForm);
		sending.current = false;
		const after = keptOn(localStorage);
		setWaiting(after);
		if (not.length > 0) setRefused((earlier) => [...earlier, ...not]);
		if (after.length < before.length) void revalidate();
	}, [revalidate]);
	// biome-ignore lint/correctness/useExhaustiveDependencies: what is kept anew is news.
	useEffect(() => {
		void send();
		const again = setInterval(send, AGAIN_MS);
		window.addEventListener("online", send);
		return () => {
			clearInterval(again);
			window.removeEventListener("online", send);
		};
	}, [send, news]);
	return { waiting, refused };
}
