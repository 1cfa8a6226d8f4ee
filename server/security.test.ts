import { request, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import express from "express";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { BODY_LIMIT, limitedBody, sameOriginOnly, securityHeaders } from "./security.ts";

let server: Server;
let here: string;

beforeAll(async () => {
	const app = express();
	app.use(securityHeaders(false), sameOriginOnly, limitedBody);
	app.use((_request, response) => void response.send(response.locals.nonce));
	server = app.listen(0, "127.0.0.1");
	await new Promise((done) => server.once("listening", done));
	here = `127.0.0.1:${(server.address() as AddressInfo).port}`;
});

afterAll(() => void server.close());

interface Answer {
	readonly status: number;
	readonly headers: NodeJS.Dict<string | string[]>;
	readonly text: string;
}

function ask(method: string, headers: Record<string, string> = {}, body = ""): Promise<Answer> {
	return new Promise((done, fail) => {
		const asked = request(`http://${here}/`, { method, headers }, (answer) => {
			let text = "";
			answer.on("data", (part) => {
				text += part;
			});
			answer.on("end", () => done({ status: answer.statusCode ?? 0, headers: answer.headers, text }));
		});
		asked.on("error", fail);
		asked.end(body);
	});
}

describe("the policy of a page", () => {
	it("lets only its own scripts run, by the nonce of this answer", async () => {
		const { headers, text } = await ask("GET");
		const policy = String(headers["content-security-policy"]);
		const scripts = policy.split(";").find((part) => part.startsWith("script-src"));
		expect(scripts).toBe(`script-src 'self' 'nonce-${text}'`);
		expect(policy).toContain("object-src 'none'");
		expect(policy).toContain("frame-ancestors 'none'");
		expect(policy).toContain("form-action 'self'");
	});

	it("has a new nonce for every answer", async () => {
		const nonces = await Promise.all(Array.from({ length: 20 }, async () => (await ask("GET")).text));
		expect(new Set(nonces).size).toBe(20);
	});

	it("keeps other sites from framing it, guessing its types or reading its address", async () => {
		expect((await ask("GET")).headers).toMatchObject({
			"x-content-type-options": "nosniff",
			"x-frame-options": "DENY",
			"referrer-policy": "same-origin",
			"cross-origin-opener-policy": "same-origin",
			"cross-origin-resource-policy": "same-origin",
		});
	});
});

describe("a change", () => {
	it.each([
		["from its own page", () => ({ origin: `http://${here}` }), 200],
		[
			"from its own page, by what the browser says of itself",
			() => ({ "sec-fetch-site": "same-origin" }),
			200,
		],
		["from another site", () => ({ origin: "http://elsewhere.invalid" }), 403],
		["from another port", () => ({ origin: "http://127.0.0.1:1" }), 403],
		["from a page without an origin", () => ({ origin: "null" }), 403],
		["from a sandbox that names itself same-site", () => ({ "sec-fetch-site": "same-site" }), 403],
		["that does not say where it comes from", () => ({}), 403],
	])("%s", async (_name, headers, status) => {
		expect((await ask("POST", headers() as Record<string, string>)).status).toBe(status);
	});

	it.each(["PUT", "PATCH", "DELETE"])("%s from another site is refused too", async (method) => {
		expect((await ask(method, { origin: "http://elsewhere.invalid" })).status).toBe(403);
	});

	it("reading from another site is no change", async () => {
		expect((await ask("GET", { origin: "http://elsewhere.invalid" })).status).toBe(200);
	});
});

describe("what is sent", () => {
	const own = () => ({ origin: `http://${here}` });

	it("may be as long as the limit and no longer, and the answer says the limit", async () => {
		const length = (bytes: number) => ({ ...own(), "content-length": String(bytes) });
		expect((await ask("POST", length(BODY_LIMIT), "x".repeat(BODY_LIMIT))).status).toBe(200);
		const over = await ask("POST", length(BODY_LIMIT + 1), "x".repeat(BODY_LIMIT + 1));
		expect([over.status, over.text]).toEqual([413, "Too much was sent at once; 256 kB is the most."]);
	});

	it("has to say how long it is", async () => {
		expect((await ask("POST", { ...own(), "transfer-encoding": "chunked" }, "x")).status).toBe(411);
	});
});
