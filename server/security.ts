import { randomBytes } from "node:crypto";
import type { RequestHandler, Response } from "express";
import helmet, { type HelmetOptions } from "helmet";

/** Largest body of a form, bytes; the longest text a field takes is far below. */
export const BODY_LIMIT = 256 * 1024;

/** Largest file that is taken in, bytes. */
export const EXCHANGE_LIMIT = 16 * 1024 * 1024;

/** Where files are given; everything else is a form. */
const EXCHANGE = /^\/book\/exchange(\.data)?$/;

/**
 * Headers that keep the page to its own scripts, fonts and frames. Styles may be inline
 * since the component library writes them; scripts need the nonce of this answer.
 */
export function securityHeaders(development: boolean): RequestHandler[] {
	return [
		(_request, response, next) => {
			response.locals.nonce = randomBytes(16).toString("base64");
			response.setHeader("Permissions-Policy", "camera=(), microphone=(), geolocation=()");
			next();
		},
		helmet({
			contentSecurityPolicy: { useDefaults: false, directives: policy(development) },
			frameguard: { action: "deny" },
			referrerPolicy: { policy: "same-origin" },
			// A kitchen's server is often reached by plain HTTP on its own network.
			strictTransportSecurity: false,
		}),
	];
}

type Directives = Exclude<
	NonNullable<Exclude<HelmetOptions["contentSecurityPolicy"], boolean | undefined>>["directives"],
	undefined
>;

function policy(development: boolean): Directives {
	const self = "'self'";
	return {
		"default-src": [self],
		"script-src": [self, (_request, response) => `'nonce-${(response as Response).locals.nonce}'`],
		"style-src": [self, "'unsafe-inline'"],
		"img-src": [self, "data:"],
		"font-src": [self],
		"connect-src": development ? [self, "ws:"] : [self],
		"worker-src": [self],
		"object-src": ["'none'"],
		"base-uri": ["'none'"],
		"form-action": [self],
		"frame-ancestors": ["'none'"],
	};
}

const READING = new Set(["GET", "HEAD", "OPTIONS"]);

/** Refuses a change that a page of another origin sends. */
export const sameOriginOnly: RequestHandler = (request, response, next) => {
	if (READING.has(request.method) || comesFromHere(request.headers)) {
		next();
		return;
	}
	plain(response, 403, "This change was sent from another site, so it was not carried out.");
};

function comesFromHere(headers: Record<string, string | string[] | undefined>): boolean {
	const { origin, host } = headers;
	if (typeof origin === "string") return hostOf(origin) === host;
	return headers["sec-fetch-site"] === "same-origin";
}

function hostOf(origin: string): string | undefined {
	try {
		return new URL(origin).host;
	} catch {
		return undefined;
	}
}

/** Refuses a body that is too large, or does not say how large it is. */
export const limitedBody: RequestHandler = (request, response, next) => {
	if (READING.has(request.method)) {
		next();
		return;
	}
	const length = request.headers["content-length"];
	if (length === undefined && request.headers["transfer-encoding"] !== undefined) {
		plain(response, 411, "The length of what was sent is missing.");
		return;
	}
	const limit = EXCHANGE.test(request.path) ? EXCHANGE_LIMIT : BODY_LIMIT;
	if (Number(length ?? 0) > limit) {
		plain(response, 413, `Too much was sent at once; ${limit / 1024} kB is the most.`);
		return;
	}
	next();
};

function plain(response: Response, status: number, text: string): void {
	response.status(status).type("text/plain").send(text);
}
