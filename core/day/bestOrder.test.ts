import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equipped, KITCHEN, ORDER, RECIPE } from "../dish/dish.testing.ts";
import { runs } from "../random/runs.testing.ts";
import { HOUR_MS } from "../time/index.ts";
import { bestOrder, missing_min, ORDERS, orderOf } from "./bestOrder.ts";
import type { Day, Unmet } from "./Day.ts";
import { givenDay, sitting } from "./days.testing.ts";
import { placeDay } from "./index.ts";

const SOON = { seed: 1, steps: 20_000 };
const lacking = (unmet: readonly Unmet[]) => ({ unmet, tasks: [] });
const late = (minutes: number) => lacking([{ task: "a", because: "late", minutes }]);

describe("what a day goes without", () => {
	it("is people and things by the time that each is missing, and what is late", () => {
		const cooks: Unmet = { task: "a", because: "nobody", short: 2, from: 0, to: HOUR_MS };
		const pans: Unmet = {
			task: "b",
			because: "tooFew",
			equipment: "full",
			short: 3,
			from: 0,
			to: HOUR_MS / 2,
		};
		expect(missing_min(lacking([cooks]))).toBe(120);
		expect(missing_min(lacking([cooks, pans, ...late(15).unmet]))).toBe(120 + 90 + 15);
		expect(missing_min(lacking([]))).toBe(0);
	});
});

describe("several orders of placing", () => {
	const asked = (minutes: readonly number[], now = 0) => {
		const tried: number[] = [];
		const place = async (order: number) => {
			tried.push(order);
			return late(minutes[order] ?? 0);
		};
		return bestOrder(late(minutes[now] ?? 0), now, place).then((best) => ({ ...best, tried }));
	};

	it("the one that goes without least is found, of equals the day's own, then the first", async () => {
		expect(await asked([60, 50, 20, 90, 20, 60, 60, 60])).toMatchObject({
			order: 2,
			missing_min: 20,
			was_min: 60,
			of: 8,
		});
		expect(await asked([60, 60, 60, 60, 60, 60, 60, 60])).toMatchObject({ order: 0, missing_min: 60 });
		expect(await asked([60, 60, 60, 60, 60, 60, 60, 60], 3)).toMatchObject({ order: 3 });
	});

	it("are tried until one goes without nothing, and not at all where nothing is missing", async () => {
		expect(await asked([60, 50, 0, 90, 20, 60, 60, 60])).toMatchObject({ order: 2, of: 3, tried: [1, 2] });
		expect(await asked([0])).toMatchObject({ order: 0, of: 1, tried: [] });
	});

	it("each is a day of the same tasks, the same again, whatever the dishes are called", () => {
		const kitchen = equipped({
			pans: [{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 30 }],
			ovens: KITCHEN.equipment.ovens,
		});
		const day = (order: number, names: readonly string[]) => {
			const dishes = names.map((id, index) => ({
				id,
				recipe: { ...RECIPE, name: id, rest_min: 10 + index },
				order: { ...ORDER, id, covers: 40 + 30 * index },
			}));
			const given = givenDay([sitting("hall", dishes, { kitchen })], {
				kitchen,
				changes: [{ kind: "order", order }],
			});
			expect(orderOf(given)).toBe(order);
			return placeDay(given, SOON);
		};
		const clocks = ({ tasks }: Day, names: readonly string[]) =>
			tasks.map((task) => `${names.indexOf(task.for)} ${task.part} ${task.start} ${task.end}`).sort();
		fc.assert(
			fc.property(fc.integer({ min: 0, max: ORDERS }), (order) => {
				const [one, other] = [day(order, ["a", "b", "c"]), day(order, ["z", "y", "x"])];
				expect(clocks(one, ["a", "b", "c"])).toEqual(clocks(other, ["z", "y", "x"]));
				const usual = day(0, ["a", "b", "c"]);
				expect(one.tasks.map(({ id }) => id).sort()).toEqual(usual.tasks.map(({ id }) => id).sort());
			}),
			{ numRuns: runs(6) },
		);
	});
});
