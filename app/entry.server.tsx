import { PassThrough } from "node:stream";
import { text } from "node:stream/consumers";
import { renderToPipeableStream } from "react-dom/server";
import {
	type EntryContext,
	isRouteErrorResponse,
	type RouterContextProvider,
	ServerRouter,
} from "react-router";
import { visitContext } from "#server";
import { paintedFirst, stylesFirst } from "./ui/server/seenFirst.ts";

/** Nothing here waits longer; a page that does is cut off rather than left hanging, ms. */
const LONGEST_MS = 10_000;

/** What broke here is told to whoever runs the server; what was asked wrongly is answered, and that is all. */
export function handleError(error: unknown, { request }: { readonly request: Request }): void {
	if (request.signal.aborted) return;
	if (isRouteErrorResponse(error) && error.status < 500) return;
	console.error(error);
}

/** Renders a page whole, its scripts marked with the nonce of this answer. */
export default function handleRequest(
	request: Request,
	status: number,
	headers: Headers,
	routerContext: EntryContext,
	loadContext: RouterContextProvider,
): Promise<Response> {
	headers.set("Content-Type", "text/html; charset=utf-8");
	if (request.method === "HEAD") return Promise.resolve(new Response(null, { status, headers }));
	const { nonce } = loadContext.get(visitContext);
	return new Promise((resolve, reject) => {
		let answer = status;
		const { pipe, abort } = renderToPipeableStream(
			<ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
			{
				nonce,
				async onAllReady() {
					clearTimeout(timer);
					const html = await text(pipe(new PassThrough()));
					resolve(new Response(paintedFirst(stylesFirst(html)), { status: answer, headers }));
				},
				onShellError(error) {
					clearTimeout(timer);
					reject(error);
				},
				onError(error) {
					answer = 500;
					console.error(error);
				},
			},
		);
		const timer = setTimeout(abort, LONGEST_MS);
	});
}
