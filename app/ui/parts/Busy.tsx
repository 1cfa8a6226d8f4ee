import { chakra } from "@chakra-ui/react/styled-system";
import { useEffect, useState } from "react";
import { useLocation, useNavigate, useNavigation, useRevalidator } from "react-router";
import { Act } from "./parts.tsx";

const Line = chakra("div", {
	base: {
		position: "fixed",
		insetInline: 0,
		top: 0,
		height: "4px",
		bg: "next",
		transformOrigin: "left",
		zIndex: 10,
		transition: "transform 1.2s ease-out, opacity .15s .15s",
	},
});

const Waiting = chakra("div", {
	base: {
		position: "fixed",
		insetInlineEnd: "16px",
		bottom: "16px",
		zIndex: 10,
		display: "flex",
		alignItems: "center",
		gap: "14px",
		padding: "10px 14px",
		bg: "sheet",
		border: "1.5px solid",
		borderColor: "ink",
	},
});

/** Who waits for longer is told so, and can stop it, ms. */
const LONG_MS = 1500;

/** A line along the top while the next page is on its way; a longer wait says so and can be stopped. */
export function Busy() {
	const { state } = useNavigation();
	const waiting = state !== "idle";
	const seconds = useSeconds(waiting);
	const stop = useStop(state === "submitting");
	return (
		<>
			<Line
				role="presentation"
				className="screenOnly"
				style={{ transform: `scaleX(${waiting ? 0.85 : 0})`, opacity: waiting ? 1 : 0 }}
			/>
			{waiting && seconds * 1000 >= LONG_MS ? (
				<Waiting role="status" className="screenOnly">
					<span>Still being worked out, {Math.floor(seconds)} s.</span>
					<Act type="button" onClick={stop}>
						Stop
					</Act>
				</Waiting>
			) : null}
		</>
	);
}

const TICK_MS = 500;

/** Seconds for which it has been so. */
function useSeconds(running: boolean): number {
	const [seconds, setSeconds] = useState(0);
	useEffect(() => {
		if (!running) return;
		const since = Date.now();
		const tick = setInterval(() => setSeconds((Date.now() - since) / 1000), TICK_MS);
		return () => {
			clearInterval(tick);
			setSeconds(0);
		};
	}, [running]);
	return seconds;
}

/** Stays on the page: the request on its way is given up, and what it asked for with it. */
function useStop(sends: boolean): () => void {
	const { pathname, search, hash } = useLocation();
	const navigate = useNavigate();
	const { revalidate } = useRevalidator();
	return () => {
		// A move within the page asks the server for nothing and takes the place of the one under way.
		void navigate({ pathname, search, hash: hash === "#stay" ? "#here" : "#stay" }, { replace: true });
		// What was sent may have been done before it was stopped.
		if (sends) void revalidate();
	};
}
