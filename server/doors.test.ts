import { request, type Server } from "node:http";
import { type AddressInfo, connect } from "node:net";
import express from "express";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { comesFromOrigins, keptNowhere, knownRequests } from "./doors.ts";
import { sameOriginOnly } from "./security.ts";

const DOORS = { origins: ["https://kitchen.example"] };
let server: Server;
let port: number;

beforeAll(async () => {
	const app = express();
	app.use(knownRequests(DOORS), comesFromOrigins(DOORS), sameOriginOnly, keptNowhere);
	app.use((request, response) => void response.send(request.protocol));
	server = app.listen(0, "127.0.0.1");
	await new Promise((done) => server.once("listening", done));
	port = (server.address() as AddressInfo).port;
});

afterAll(() => void server.close());

function statusOf(method: string, headers: Record<string, string>): Promise<number> {
	return new Promise((done, fail) => {
		const asked = request({ port, host: "127.0.0.1", path: "/", method, headers }, (answer) => {
			answer.resume();
			answer.on("end", () => done(answer.statusCode ?? 0));
		});
		asked.on("error", fail);
		asked.end();
	});
}

/** A request as it is written, for what no client would send. */
function statusOfRaw(text: string): Promise<number> {
	return new Promise((done, fail) => {
		const socket = connect(port, "127.0.0.1", () => socket.end(text));
		let answer = "";
		socket.on("data", (part) => {
			answer += part;
		});
		socket.on("error", fail);
		socket.on("close", () => done(Number(/^HTTP\/1\.1 (\d+)/.exec(answer)?.[1])));
	});
}

describe("the name a request comes by", () => {
	it.each([
		["kitchen.example", 200],
		["127.0.0.1", 200],
		["127.0.0.1:3140", 200],
		["[::1]:3140", 200],
		["localhost:3140", 200],
		["skerry", 200],
		["skerry.local", 200],
		["rebound.example", 421],
		["127.0.0.1.rebound.example", 421],
		["kitchen.example.rebound.example", 421],
		["a b", 400],
	])("%s is answered with %d", async (host, status) => {
		expect(await statusOf("GET", { host })).toBe(status);
	});
});

describe("what no page asks", () => {
	it.each(["TRACE", "PUT", "DELETE", "PATCH", "PROPFIND"])("%s is no method here", async (method) => {
		expect(await statusOf(method, { host: "localhost" })).toBe(405);
	});

	it.each([
		["an absolute address", "GET http://localhost/ HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n"],
		["half a sign", "GET /%E0%A4%A HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n"],
		["no host", "GET / HTTP/1.0\r\n\r\n"],
		["something else", "nonsense\r\n\r\n"],
	])("%s is refused with 400", async (_name, text) => {
		expect(await statusOfRaw(text)).toBe(400);
	});
});

describe("a change behind a proxy", () => {
	const behind = { host: "10.0.0.7:3140", origin: "https://kitchen.example" };

	it("comes from the house where its address is one of the house's", async () => {
		expect(await statusOf("POST", behind)).toBe(200);
		expect(await statusOf("POST", { ...behind, "x-forwarded-host": "elsewhere.example" })).toBe(200);
	});

	it("is refused from anywhere else", async () => {
		expect(await statusOf("POST", { ...behind, origin: "https://elsewhere.example" })).toBe(403);
		expect(await statusOf("POST", { ...behind, origin: "http://kitchen.example" })).toBe(403);
	});
});
