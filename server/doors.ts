import type { RequestHandler, Response } from "express";

/** Who may come in by which name, and how. */
export interface Doors {
	/** Addresses under which the house is reached from outside, such as https://kitchen.example. */
	readonly origins: readonly string[];
}

/** The methods that anything here answers. */
const METHODS = ["GET", "HEAD", "POST", "OPTIONS"];

/**
 * Refuses what no page of ours asks: other methods, an address that is not a path, a host that is
 * not this house's. A page elsewhere may have its own name point here; it is answered only where it
 * is a name of the house, a bare address, or a name that nobody outside can have.
 */
export function knownRequests({ origins }: Doors): RequestHandler {
	const hosts = new Set(origins.map((origin) => new URL(origin).host));
	return (request, response, next) => {
		if (!METHODS.includes(request.method)) {
			response.setHeader("Allow", METHODS.join(", "));
			plain(response, 405, `${METHODS.join(", ")} are answered here.`);
			return;
		}
		if (!request.url.startsWith("/") || !isReadable(request.url)) {
			plain(response, 400, "The address is no path that can be read.");
			return;
		}
		const { host } = request.headers;
		if (host === undefined || !isHost(host)) {
			plain(response, 400, "The host of the request cannot be read.");
			return;
		}
		if (!hosts.has(host) && !isOwn(host)) {
			plain(
				response,
				421,
				"This name is not one of the house's. Whoever runs the server adds it to WT_ORIGINS.",
			);
			return;
		}
		next();
	};
}

/** A change behind a proxy comes from an address of the house; it counts as sent from here. */
export function comesFromOrigins({ origins }: Doors): RequestHandler {
	const known = new Map(origins.map((origin) => [new URL(origin).origin, new URL(origin)]));
	return (request, _response, next) => {
		const { origin } = request.headers;
		const house = typeof origin === "string" ? known.get(origin) : undefined;
		// What a stranger writes into these would be believed further in.
		delete request.headers["x-forwarded-host"];
		if (house) {
			request.headers.host = house.host;
			// The proxy speaks to the browser in its own way; the page was sent so.
			Object.defineProperty(request, "protocol", { value: house.protocol.slice(0, -1) });
		}
		next();
	};
}

/** Pages and data are somebody's own: nothing on the way keeps them. */
export const keptNowhere: RequestHandler = (_request, response, next) => {
	response.setHeader("Cache-Control", "no-store");
	next();
};

function isReadable(url: string): boolean {
	try {
		decodeURIComponent(url.split("?", 1)[0] ?? "");
		return true;
	} catch {
		return false;
	}
}

function isHost(host: string): boolean {
	return /^(?:\[[0-9a-f:.]+\]|[a-z0-9._-]+)(?::\d{1,5})?$/i.test(host);
}

/** A bare address, this machine, or a name that is only known on the house's own network. */
function isOwn(host: string): boolean {
	const name = host.replace(/:\d+$/, "").toLowerCase();
	if (name.startsWith("[") || /^\d{1,3}(?:\.\d{1,3}){3}$/.test(name)) return true;
	return !name.includes(".") || /\.(?:local|lan|home\.arpa|internal|localhost)$/.test(name);
}

function plain(response: Response, status: number, text: string): void {
	response.status(status).type("text/plain").send(text);
}
