import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type Store, writeRecord } from "#db";
import { LOT } from "../core/records/records.testing.ts";
import { freshStore } from "../db/freshStore.testing.ts";
import { Live, type LiveNews } from "./live.ts";

let store: Store;
let live: Live;
beforeEach(async () => {
	store = await freshStore();
	live = new Live(store);
});
afterEach(async () => {
	live.stop();
	await store.close();
});

const AT = Date.UTC(2026, 11, 4);

describe("what pages are told that look on", () => {
	it("is which watches were read, and that something was written, whoever wrote it", async () => {
		const told: (LiveNews | null)[] = [];
		live.listen((news) => told.push(news));
		await new Promise((done) => setTimeout(done, 50));
		await live.readings.keep([{ watch: 3, at: AT, C: 60, who: null }]);
		await writeRecord(store, "Ebba", "lot", (next) => [{ at: AT, doc: { ...LOT, lot: next.lot } }]);
		await vi.waitFor(() => expect(told).toEqual([{ watches: [3], written: true }]), { timeout: 5000 });
		live.stop();
		expect(told.at(-1)).toBeNull();
	});

	it("is nothing to who has left, and the end to who comes after it", async () => {
		const told = vi.fn();
		live.listen(told)();
		await live.readings.keep([{ watch: 3, at: AT, C: 60, who: null }]);
		live.stop();
		expect(told).not.toHaveBeenCalled();
		live.listen(told);
		expect(told).toHaveBeenCalledWith(null);
	});
});
