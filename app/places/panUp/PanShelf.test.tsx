// @vitest-environment happy-dom
import { DndContext } from "@dnd-kit/core";
import { fireEvent, screen, within } from "@testing-library/react";
import { beforeEach, describe, expect, it } from "vitest";
import { pansHeld } from "#core/dish";
import { workedIn } from "../../../core/day/days.testing.ts";
import { KITCHEN, ORDER, RECIPE } from "../../../core/dish/dish.testing.ts";
import { readWishes } from "../../ui/forms/settled.ts";
import { onScreen } from "../../ui/onScreen.testing.tsx";
import { readingIn } from "../../ui/words/reading.ts";
import { TRIAL } from "../setTrial.ts";
import { PanShelf, PanStrip, swapPan } from "./PanShelf.tsx";
import { type PanUpView, panUpView } from "./panUp.view.ts";

const READING = readingIn("metric", "UTC", ORDER.serviceAt);
const viewFor = (kitchen = KITCHEN, order = ORDER): PanUpView =>
	panUpView({ plan: workedIn(RECIPE, order, kitchen), kitchen, reading: READING, cardLine: null });

/** What the drawing last put into the scale control. */
let tried: string | undefined;
beforeEach(() => {
	document.body.innerHTML = '<form id="scale"><input name="wishes"></form>';
	tried = undefined;
	document.querySelector("#scale")?.addEventListener(TRIAL, (event) => {
		event.preventDefault();
		tried = document.querySelector<HTMLInputElement>("#scale input")?.value;
	});
});

const shelf = (view: PanUpView) =>
	onScreen(
		<DndContext>
			<PanShelf view={view} />
		</DndContext>,
	);
const rowOf = (name: string) => within(screen.getByRole("row", { name: new RegExp(`^${name}`) }));

describe("the kitchen's pans", () => {
	it("tell of each kind how many one takes, are here, elsewhere and left", () => {
		const view = viewFor();
		shelf(view);
		for (const kind of view.shelf) {
			const cells = rowOf(kind.name.replaceAll("/", "\\/"))
				.getAllByRole("cell")
				.map((cell) => cell.textContent);
			expect(cells[1]).toBe(kind.takes === 0 ? "none" : String(kind.takes));
			expect(cells[2]).toContain(String(kind.here));
			expect(cells[4]).toBe(String(kind.stock - kind.here - pansHeld(kind.elsewhere)));
		}
	});

	it("name the dishes that have the others", () => {
		const view = viewFor();
		const [first] = view.shelf;
		if (!first) throw new Error("no shelf");
		const elsewhere = [
			{ dish: "Goat shoulder", count: 2 },
			{ dish: "Duck legs", count: 1 },
		];
		shelf({ ...view, shelf: [{ ...first, stock: 9, here: 4, elsewhere }] });
		const cells = rowOf(first.name.replaceAll("/", "\\/"))
			.getAllByRole("cell")
			.map((cell) => cell.textContent);
		expect(cells[3]).toBe("2 Goat shoulder1 Duck legs");
		expect(cells[4]).toBe("2");
	});

	it("one more or one fewer is tried at once, and what was settled before is kept", () => {
		const view = viewFor();
		const kind = view.shelf.find(({ here }) => here > 0);
		if (!kind) throw new Error("no pan is used");
		shelf(view);
		fireEvent.click(screen.getByRole("button", { name: `One ${kind.name} fewer` }));
		expect(readWishes(tried ?? "")).toContainEqual({ typeId: kind.id, count: kind.here - 1 });
	});

	it("none can be taken away where none is, none added where none is left", () => {
		const view = viewFor(KITCHEN, { ...ORDER, panTypeId: "full" });
		expect(view.shelf.find(({ id }) => id === "half")?.here).toBe(0);
		shelf(view);
		const half = (which: string) =>
			screen.getByRole<HTMLButtonElement>("button", { name: `One GN 1/2-100 ${which}` });
		expect(half("fewer").disabled).toBe(true);
		expect(half("more").disabled).toBe(false);
		shelf(viewFor(KITCHEN, { ...ORDER, covers: 2000 }));
		const [, more] = screen.getAllByRole<HTMLButtonElement>("button", { name: "One GN 1/1-100 more" });
		expect(more?.disabled).toBe(true);
	});

	it("a kind that is settled can be let go again", () => {
		const [used] = viewFor().shelf;
		if (!used) throw new Error("no shelf");
		const view = viewFor(KITCHEN, { ...ORDER, panWishes: [{ typeId: used.id, count: 2 }] });
		shelf(view);
		expect(screen.getByText("settled at 2")).toBeDefined();
		fireEvent.click(screen.getByRole("button", { name: "Let go" }));
		expect(readWishes(tried ?? "")).toEqual([]);
	});
});

describe("a pan swapped for another kind", () => {
	it("is one fewer of its own, and as many of the other as take its pieces", () => {
		const view = viewFor();
		const from = view.shelf.find(({ here }) => here > 0);
		const to = view.shelf.find(({ id, takes }) => id !== from?.id && takes > 0);
		if (!from || !to) throw new Error("nothing to swap");
		swapPan(view, from.id, to.id);
		expect(readWishes(tried ?? "")).toEqual(
			expect.arrayContaining([
				{ typeId: from.id, count: from.here - 1 },
				{ typeId: to.id, count: to.here + Math.ceil(from.takes / to.takes) },
			]),
		);
	});

	it("for its own kind, or for one that is not there, changes nothing", () => {
		const view = viewFor();
		const [kind] = view.shelf;
		swapPan(view, kind?.id ?? "", kind?.id ?? "");
		swapPan(view, kind?.id ?? "", "nowhere");
		expect(tried).toBeUndefined();
	});
});

describe("the strip of pans", () => {
	it("has every pan with its pieces, and marks those filled like the one that is looked at", () => {
		const view = viewFor();
		const chosen: number[] = [];
		onScreen(
			<DndContext>
				<PanStrip view={view} chosen={0} onChoose={(index) => chosen.push(index)} />
			</DndContext>,
		);
		const pans = screen.getAllByRole("button", { name: /^Pan \d+, / });
		expect(pans).toHaveLength(view.strip.length);
		expect(pans.map((pan) => pan.getAttribute("aria-pressed"))).toEqual(
			view.strip.map(({ alike }) => String(alike === 0)),
		);
		const pieces = pans.map((pan) => Number(pan.textContent));
		expect(pieces).toEqual(view.strip.map(({ alike }) => view.pans[alike]?.pieces));
		fireEvent.click(pans.at(-1) as HTMLElement);
		expect(chosen).toEqual([view.strip.at(-1)?.alike]);
	});
});
