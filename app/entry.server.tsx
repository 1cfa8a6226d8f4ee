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
import { type Rendered, renderedOnce } from "./ui/server/renderedOnce.ts";
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
export default async function handleRequest(
	request: Request,
	status: number,
	headers: Headers,
	routerContext: EntryContext,
	loadContext: RouterContextProvider,
): Promise<Response> {
	headers.set("Content-Type", "text/html; charset=utf-8");
	if (request.method === "HEAD") return new Response(null, { status, headers });
	const { nonce, preferences } = loadContext.get(visitContext);
	const { loaderData, actionData, errors } = routerContext.staticHandlerContext;
	const render = () => rendered(request, routerContext, nonce);
	// What was just sent, or went wrong, is nobody else's page.
	const isOwn = errors !== null || actionData !== null;
	const { now = "", ...root } = loaderData.root ?? {};
	const shows = { url: request.url, preferences, loaderData: { ...loaderData, root } };
	const { html, broke } = isOwn ? await render() : await renderedOnce(shows, [nonce, String(now)], render);
	return new Response(html, { status: broke ? 500 : status, headers });
}

function rendered(request: Request, routerContext: EntryContext, nonce: string): Promise<Rendered> {
	return new Promise((resolve, reject) => {
		let broke = false;
		const { pipe, abort } = renderToPipeableStream(
			<ServerRouter context={routerContext} url={request.url} nonce={nonce} />,
			{
				nonce,
				async onAllReady() {
					clearTimeout(timer);
					const html = await text(pipe(new PassThrough()));
					resolve({ html: paintedFirst(stylesFirst(html)), broke });
				},
				onShellError(error) {
					clearTimeout(timer);
					reject(error);
				},
				onError(error) {
					broke = true;
					console.error(error);
				},
			},
		);
		const timer = setTimeout(abort, LONGEST_MS);
	});
}
