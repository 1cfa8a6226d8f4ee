import { visitContext } from "#server";
import type { Route } from "./+types/live.route";

/** So often something is said even when there is nothing to say, so that nobody takes the line for dead, ms. */
const BREATH_MS = 20_000;

/** What comes in, as server-sent events: `news` with the watches that were read. */
export function loader({ context, request }: Route.LoaderArgs) {
	const { live } = context.get(visitContext);
	const encoder = new TextEncoder();
	let end = () => {};
	const stream = new ReadableStream<Uint8Array>({
		start(controller) {
			const say = (text: string) => controller.enqueue(encoder.encode(text));
			say("retry: 2000\n\n");
			const breath = setInterval(() => say(": \n\n"), BREATH_MS);
			const leave = live.listen((news) => {
				if (news) say(`event: news\ndata: ${JSON.stringify(news)}\n\n`);
				else end();
			});
			let ended = false;
			end = () => {
				if (ended) return;
				ended = true;
				clearInterval(breath);
				leave();
				try {
					controller.close();
				} catch {
					// Whoever listened has closed it already.
				}
			};
			request.signal.addEventListener("abort", end, { once: true });
		},
		cancel: () => end(),
	});
	return new Response(stream, {
		headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-store, no-transform" },
	});
}
