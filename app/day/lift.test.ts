import { beforeAll, describe, expect, it } from "vitest";
import type { DayView } from "./day.view.ts";
import { carried, type Lifted, liftView, pinOf, STEP_MS } from "./lift.ts";
import { supperView } from "./supperDay.testing.ts";

let view: DayView;
let lifted: Lifted;

beforeAll(async () => {
	({ view } = await supperView());
	const oven = view.ovens.find(({ stands }) => stands.length > 0);
	const [stand] = oven?.stands ?? [];
	lifted = { id: stand?.id ?? "", oven: oven?.id ?? "", start: stand?.from ?? 0 };
});

const standOf = (id: string) => view.ovens.flatMap(({ stands }) => stands).find((stand) => stand.id === id);

describe("pans in the hand", () => {
	it("where they stand break nothing", () => {
		const held = liftView(view, lifted);
		expect(held?.breaks).toEqual([]);
		expect(held?.ghost?.from).toBe(lifted.start);
		expect(held?.words).toMatch(/\d+ °C, \d\d:\d\d to \d\d:\d\d, was \d\d:\d\d to \d\d:\d\d/);
	});

	it("earlier, say that they are not filled yet; later, that they are wanted sooner", () => {
		const sooner = liftView(view, { ...lifted, start: lifted.start - 24 * STEP_MS });
		expect(sooner?.breaks.join()).toContain("its pans are filled");
		const later = liftView(view, { ...lifted, start: lifted.start + 24 * STEP_MS });
		expect(later?.breaks.join()).toContain("later than it is wanted");
	});

	it("are carried by keys: five minutes along, an oven up or down, no further than there are any", () => {
		expect(carried(view, lifted, "ArrowRight")?.start).toBe(lifted.start + STEP_MS);
		expect(carried(view, lifted, "ArrowLeft")?.start).toBe(lifted.start - STEP_MS);
		const first = { ...lifted, oven: view.ovens[0]?.id ?? "", rung: 3 };
		const down = carried(view, first, "ArrowDown");
		expect(down?.oven).toBe(view.ovens[1]?.id);
		expect(down).not.toHaveProperty("rung");
		expect(carried(view, first, "ArrowUp")).toBe(first);
		expect(carried(view, first, "x")).toBeNull();
	});

	it("put down tell what is settled, and nothing where they have not moved", () => {
		const stand = standOf(lifted.id);
		const still = liftView(view, lifted);
		expect(still && pinOf(still, stand, lifted.oven)).toBeNull();
		const moved = liftView(view, { ...lifted, start: lifted.start - STEP_MS, rung: 2 });
		expect(moved && pinOf(moved, stand, lifted.oven)).toMatchObject({
			kind: "pinned",
			task: lifted.id,
			start: lifted.start - STEP_MS,
			oven: lifted.oven,
			rung: 2,
		});
	});

	it("that are not there are not in the hand", () => {
		expect(liftView(view, null)).toBeNull();
		expect(liftView(view, { ...lifted, id: "nowhere" })).toBeNull();
	});
});

it("temperatures are in the reader's own degrees", async () => {
	const { view: us } = await supperView("us");
	const oven = us.ovens.find(({ stands }) => stands.length > 0);
	const [stand] = oven?.stands ?? [];
	const held = liftView(us, { id: stand?.id ?? "", oven: oven?.id ?? "", start: stand?.from ?? 0 });
	expect(held?.words).toMatch(/at \d+ °F/);
});
