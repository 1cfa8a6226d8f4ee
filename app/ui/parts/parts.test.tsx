// @vitest-environment happy-dom
import { screen, within } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { cellsIn, onScreen } from "../onScreen.testing.tsx";
import { Allergens } from "./Allergens.tsx";
import { type Column, ColumnTable } from "./ColumnTable.tsx";
import { Facts } from "./Facts.tsx";
import { LineTable } from "./LineTable.tsx";

interface Pan {
	readonly id: string;
	readonly name: string;
	readonly stock: number;
}
const PANS: readonly Pan[] = [
	{ id: "a", name: "GN 1/1-100", stock: 12 },
	{ id: "b", name: "GN 1/2-65", stock: 4 },
];
const COLUMNS: readonly Column<Pan>[] = [
	{ words: "Pan", cell: ({ name }) => <b>{name}</b> },
	{ words: "Stock", number: true, cell: ({ stock }) => stock },
];

describe("a table from its columns", () => {
	it("has one head and one cell a column for each row", () => {
		const { container } = onScreen(<ColumnTable columns={COLUMNS} rows={PANS} keyOf={({ id }) => id} />);
		expect(cellsIn(container)).toEqual([
			["Pan", "Stock"],
			["GN 1/1-100", "12"],
			["GN 1/2-65", "4"],
		]);
		for (const head of screen.getAllByRole("columnheader")) expect(head.getAttribute("scope")).toBe("col");
	});

	it("puts figures at the right, head and cells alike", () => {
		const { container } = onScreen(<ColumnTable columns={COLUMNS} rows={PANS} keyOf={({ id }) => id} />);
		const numbers = [...container.querySelectorAll(".number")].map((cell) => cell.textContent);
		expect(numbers).toEqual(["Stock", "12", "4"]);
	});

	it("heads each group over all columns, and a lone group not at all", () => {
		const groups = [
			{ heading: "Large", rows: PANS.slice(0, 1) },
			{ heading: "Small", rows: PANS.slice(1) },
		];
		const { container } = onScreen(<ColumnTable columns={COLUMNS} groups={groups} keyOf={({ id }) => id} />);
		expect(cellsIn(container).map((row) => row[0])).toEqual([
			"Pan",
			"Large",
			"GN 1/1-100",
			"Small",
			"GN 1/2-65",
		]);
		for (const head of screen.getAllByRole("rowheader")) expect(head.getAttribute("colspan")).toBe("2");
	});

	it("can stand without a head, and in a frame of its own for each row", () => {
		const { container } = onScreen(
			<ColumnTable
				columns={COLUMNS}
				rows={PANS}
				keyOf={({ id }) => id}
				headless
				frame={({ row, children }) => <tr data-kind={row.id}>{children}</tr>}
			/>,
		);
		expect(container.querySelector("thead")).toBeNull();
		expect([...container.querySelectorAll("tr")].map((row) => row.getAttribute("data-kind"))).toEqual([
			"a",
			"b",
		]);
	});
});

describe("lines of a card", () => {
	const LINE = {
		name: "goat shoulder",
		preparation: "diced",
		amount: "24.3 kg",
		percentOfMain: "100 %",
		perPortion: "264 g",
		group: "base",
		note: "weigh it trimmed",
	};

	it("are told three ways on the screen and on paper", () => {
		const groups = [{ heading: "", rows: [LINE] }];
		const screenText = cellsIn(onScreen(<LineTable groups={groups} />).container);
		const paperText = cellsIn(onScreen(<LineTable groups={groups} onPaper />).container);
		expect(screenText[0]).toEqual(["What", "Amount", "Of main", "A portion"]);
		expect(screenText[1]).toEqual(["goat shoulder dicedweigh it trimmed", "24.3 kg", "100 %", "264 g"]);
		expect(paperText[1]).toEqual(["goat shoulder, diced (weigh it trimmed)", "24.3 kg", "100 %", "264 g"]);
	});
});

describe("figures with their labels", () => {
	it("are a list in which each label goes with its figure", () => {
		onScreen(
			<Facts
				facts={[
					{ figure: "5", label: "pans" },
					{ figure: "13 l", label: "to pour" },
				]}
			/>,
		);
		const terms = screen.getAllByRole("term").map((term) => term.textContent);
		const figures = screen.getAllByRole("definition").map((figure) => figure.textContent);
		expect(terms).toEqual(["pans", "to pour"]);
		expect(figures).toEqual(["5", "13 l"]);
	});
});

describe("allergens", () => {
	it("are each traced to the line that brings them, and what is free is named by its list", () => {
		onScreen(
			<Allergens
				view={{
					found: [{ name: "celery", presence: "contains", from: "celeriac purée" }],
					notKnown: [],
					freeOf: ["milk", "eggs"],
					list: "the fourteen of the European list",
				}}
			/>,
		);
		expect(within(screen.getByRole("list")).getByRole("listitem").textContent).toBe(
			"contains celery from celeriac purée",
		);
		expect(screen.getByText(/free of milk, eggs/).textContent).toContain("as the ingredients are described");
	});

	it("where none was found say the list, and never that it is safe", () => {
		const { container } = onScreen(
			<Allergens
				view={{ found: [], notKnown: [], freeOf: ["milk"], list: "the nine of the American list" }}
			/>,
		);
		expect(container.textContent).toContain(
			"None of the nine of the American list, as the ingredients are described",
		);
		expect(container.textContent).not.toMatch(/\bsafe\b/i);
	});
});

describe("what a row frame is given", () => {
	it("is the row itself, once for each", () => {
		const seen = vi.fn();
		onScreen(
			<ColumnTable
				columns={COLUMNS}
				rows={PANS}
				keyOf={({ id }) => id}
				frame={({ row, children }) => {
					seen(row.id);
					return <tr>{children}</tr>;
				}}
			/>,
		);
		expect(new Set(seen.mock.calls.map(([id]) => id))).toEqual(new Set(["a", "b"]));
	});
});
