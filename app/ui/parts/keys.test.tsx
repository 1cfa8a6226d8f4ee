// @vitest-environment happy-dom
import { fireEvent, screen, within } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { onScreen } from "../onScreen.testing.tsx";
import { KeySheet } from "./KeySheet.tsx";
import { ShortKeys } from "./ShortKeys.tsx";

/** The page has no layout here: everything that is not hidden by its style can be seen. */
beforeEach(() => {
	vi.spyOn(Element.prototype, "getClientRects").mockImplementation(function (this: Element) {
		const rects = this instanceof HTMLElement && this.style.display === "none" ? [] : [{}];
		return rects as unknown as DOMRectList;
	});
	HTMLDialogElement.prototype.showModal = function () {
		this.setAttribute("open", "");
	};
});

const page = (on = true) => {
	const printed = vi.fn();
	onScreen(
		<>
			<ShortKeys on={on} />
			<button type="button" aria-keyshortcuts="p" onClick={printed}>
				Production sheet
			</button>
			<button type="button" aria-keyshortcuts="x" style={{ display: "none" }} onClick={printed}>
				Hidden
			</button>
			<input aria-label="Find" aria-keyshortcuts="/" />
			<KeySheet />
		</>,
	);
	return printed;
};

describe("short keys", () => {
	it("do what the action on the page does", () => {
		const printed = page();
		fireEvent.keyDown(document.body, { key: "p" });
		expect(printed).toHaveBeenCalledTimes(1);
	});

	it("put the cursor into a field instead of clicking it", () => {
		page();
		fireEvent.keyDown(document.body, { key: "/" });
		expect(document.activeElement).toBe(screen.getByLabelText("Find"));
	});

	it.each([
		["with a key of the browser's held", { key: "p", ctrlKey: true }],
		["with alt", { key: "p", altKey: true }],
		["of no action", { key: "z" }],
		["of an action that cannot be seen", { key: "x" }],
	])("do nothing %s", (_, press) => {
		const printed = page();
		fireEvent.keyDown(document.body, press);
		expect(printed).not.toHaveBeenCalled();
	});

	it("are letters while somebody types", () => {
		const printed = page();
		fireEvent.keyDown(screen.getByLabelText("Find"), { key: "p" });
		expect(printed).not.toHaveBeenCalled();
	});

	it("can be switched off", () => {
		const printed = page(false);
		fireEvent.keyDown(document.body, { key: "p" });
		expect(printed).not.toHaveBeenCalled();
	});

	it("rest while the sheet of keys is open", () => {
		const printed = page();
		fireEvent.click(screen.getByRole("button", { name: /^Keys/ }));
		fireEvent.keyDown(document.body, { key: "p" });
		expect(printed).not.toHaveBeenCalled();
	});
});

describe("the sheet of keys", () => {
	it("is read from the page: every action that can be seen, and no other", () => {
		page();
		fireEvent.click(screen.getByRole("button", { name: /^Keys/ }));
		const dialog = within(screen.getByRole("dialog"));
		const keys = dialog.getAllByRole("term").map((term) => term.textContent);
		const does = dialog.getAllByRole("definition").map((words) => words.textContent);
		expect(keys).toEqual(["p", "/", "?"]);
		expect(does.slice(0, 2)).toEqual(["Production sheet", "Find"]);
	});
});
