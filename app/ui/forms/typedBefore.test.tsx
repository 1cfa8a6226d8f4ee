// @vitest-environment happy-dom
import { act } from "react";
import { hydrateRoot } from "react-dom/client";
import { renderToString } from "react-dom/server";
import { describe, expect, it, vi } from "vitest";
import { keepTypedBefore } from "./typedBefore.ts";

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

function Form({ heard }: { readonly heard: (name: string, value: string) => void }) {
	const tell = ({ target }: { readonly target: EventTarget }) => {
		const { name, type, value, checked } = target as HTMLInputElement;
		heard(name, type === "checkbox" ? String(checked) : value);
	};
	return (
		<form onChange={tell}>
			<input name="covers" defaultValue="140" />
			<textarea name="note" defaultValue="As ever." />
			<select name="shape" defaultValue="gn">
				<option value="gn">gastronorm</option>
				<option value="round">round</option>
			</select>
			<input type="checkbox" name="described" />
			<input name="room" defaultValue="Hall" />
			<input type="file" name="file" />
		</form>
	);
}

const control = <T extends HTMLElement>(name: string) => document.querySelector<T>(`[name=${name}]`) as T;

describe("what is typed before the page is taken over", () => {
	it("stands there afterwards, and is heard of", async () => {
		const heard = vi.fn();
		document.body.innerHTML = renderToString(<Form heard={heard} />);
		control<HTMLInputElement>("covers").value = "160";
		const file = control<HTMLInputElement>("file");
		// As a browser does: it says a name, and lets nobody write one.
		Object.defineProperty(file, "value", {
			get: () => "C:\\fakepath\\book.json",
			set: () => {
				throw new DOMException("a file is chosen by hand", "InvalidStateError");
			},
		});
		const putBack = keepTypedBefore(document);
		const note = control<HTMLTextAreaElement>("note");
		note.value = "Speeches at eight.";
		note.dispatchEvent(new Event("input", { bubbles: true }));
		const shape = control<HTMLSelectElement>("shape");
		shape.value = "round";
		shape.dispatchEvent(new Event("input", { bubbles: true }));
		const described = control<HTMLInputElement>("described");
		described.checked = true;
		described.dispatchEvent(new Event("input", { bubbles: true }));
		await act(async () => {
			hydrateRoot(document.body, <Form heard={heard} />);
		});
		await act(async () => putBack());
		expect(control<HTMLInputElement>("covers").value).toBe("160");
		expect(note.value).toBe("Speeches at eight.");
		expect(shape.value).toBe("round");
		expect(described.checked).toBe(true);
		expect(control<HTMLInputElement>("room").value).toBe("Hall");
		const told = Object.fromEntries(heard.mock.calls);
		expect(told).toEqual({
			covers: "160",
			note: "Speeches at eight.",
			shape: "round",
			described: "true",
		});
	});
});
