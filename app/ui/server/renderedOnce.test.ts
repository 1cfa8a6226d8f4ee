import { describe, expect, it } from "vitest";
import { renderedOnce } from "./renderedOnce.ts";

const NONCE = "c29tZXRoaW5nIHJhbmRvbQ==";
const OTHER = "YW5vdGhlciByYW5kb20gb25l";

function page(broke = false) {
	let rendered = 0;
	const ask = async (shows: unknown, nonce: string) => {
		const answer = await renderedOnce(shows, [nonce], async () => {
			rendered += 1;
			return { html: `<script nonce="${nonce}"></script><p>${JSON.stringify(shows)}</p>`, broke };
		});
		expect(answer.broke).toBe(broke);
		return answer.html;
	};
	return { ask, times: () => rendered };
}

describe("a rendered page", () => {
	it("is rendered once for the same data, with the nonce of each answer", async () => {
		const { ask, times } = page();
		const first = await ask({ url: "/a", data: { covers: 140 } }, NONCE);
		const second = await ask({ url: "/a", data: { covers: 140 } }, OTHER);
		expect(times()).toBe(1);
		expect(second).toBe(first.replaceAll(NONCE, OTHER));
		expect(second).not.toContain(NONCE);
	});

	it("is rendered anew for other data, or at another address", async () => {
		const { ask, times } = page();
		await ask({ url: "/b", data: { covers: 140 } }, NONCE);
		expect(await ask({ url: "/b", data: { covers: 170 } }, NONCE)).toContain("170");
		await ask({ url: "/c", data: { covers: 170 } }, NONCE);
		expect(times()).toBe(3);
	});

	it("is not kept where its data can not be written down, or its nonce is no nonce", async () => {
		const { ask, times } = page();
		const circle: Record<string, unknown> = {};
		circle.itself = circle;
		const html = "<p>x</p>";
		expect(await renderedOnce(circle, [NONCE], async () => ({ html, broke: false }))).toMatchObject({ html });
		await ask({ url: "/d" }, "p");
		await ask({ url: "/d" }, "p");
		expect(times()).toBe(2);
	});

	it("is not kept where it broke", async () => {
		const { ask, times } = page(true);
		await ask({ url: "/e" }, NONCE);
		await ask({ url: "/e" }, NONCE);
		expect(times()).toBe(2);
	});
});
