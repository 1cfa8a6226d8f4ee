import { describe, expect, it } from "vitest";
import { formOf, MOST_FIELDS } from "./formOf.ts";

const FORM = "application/x-www-form-urlencoded";
const sent = (body: BodyInit | null, type?: string) =>
	new Request("http://skerry/", {
		method: "POST",
		body,
		...(type ? { headers: { "content-type": type } } : {}),
	});
const statusOf = (request: Request) =>
	formOf(request).then(
		() => 200,
		(thrown: { init?: { status?: number }; data?: { said?: string } }) => {
			expect(thrown.data?.said).toMatch(/^[A-Z].*\.$/);
			return thrown.init?.status;
		},
	);

describe("the form that is sent", () => {
	it("is read whole, urlencoded or in parts, with its file", async () => {
		expect((await formOf(sent("covers=140&note=a%26b", FORM))).get("note")).toBe("a&b");
		const parts = new FormData();
		parts.set("file", new File(["x".repeat(2000)], "book.json"));
		const file = (await formOf(sent(parts))).get("file");
		expect(file instanceof File && file.size).toBe(2000);
	});

	it.each([
		["nothing said of it", sent("covers=140")],
		["JSON", sent("{}", "application/json")],
		["an empty type", sent("a=b", " ")],
		["parts without a boundary", sent("x", "multipart/form-data")],
		["parts that are none", sent("x", "multipart/form-data; boundary=abc")],
		[
			"parts broken off",
			sent('--abc\r\nContent-Disposition: form-data; name="a"\r\n\r\nb', "multipart/form-data; boundary=abc"),
		],
	])("%s is answered with 400 and a sentence", async (_name, request) => {
		expect(await statusOf(request)).toBe(400);
	});

	it("has its fields counted before it is read", async () => {
		const many = (count: number) => sent("a=1&".repeat(count), FORM);
		expect(await statusOf(many(MOST_FIELDS))).toBe(200);
		expect(await statusOf(many(MOST_FIELDS + 1))).toBe(400);
		expect(await statusOf(many(60_000))).toBe(400);
	});
});
