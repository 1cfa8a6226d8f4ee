// @vitest-environment happy-dom
import { fireEvent, screen } from "@testing-library/react";
import { useState } from "react";
import { describe, expect, it, vi } from "vitest";
import { onScreen } from "../onScreen.testing.tsx";
import { MomentField } from "./DayField.tsx";
import { Choice, Field, LongText } from "./Field.tsx";
import { FileField } from "./FileField.tsx";
import { NotSentNote } from "./NotSentNote.tsx";
import { StaleNote } from "./StaleNote.tsx";
import { Stepper } from "./Stepper.tsx";

/** A note beside a figure that changes. */
function NoteAndCovers() {
	const [covers, setCovers] = useState(140);
	return (
		<>
			<LongText label="Note" name="note" defaultValue="Served after the lamp is lit." />
			<button type="button" onClick={() => setCovers(covers + 1)}>
				{covers} covers
			</button>
		</>
	);
}

describe("a field", () => {
	it("is found by its label, with its unit beside it", () => {
		onScreen(<Field label="Covers" name="covers" defaultValue="140" after="guests" />);
		expect(screen.getByLabelText<HTMLInputElement>(/^Covers/).value).toBe("140");
		expect(screen.getByText("guests")).toBeDefined();
	});

	it("that holds says nothing of being wrong", () => {
		onScreen(<Field label="Covers" name="covers" />);
		const field = screen.getByLabelText("Covers");
		expect(field.getAttribute("aria-invalid")).toBeNull();
		expect(field.getAttribute("aria-describedby")).toBeNull();
	});

	it.each([
		["a field", <Field key="a" label="Covers" name="covers" defaultValue="lots" wrong="Lots was given." />],
		[
			"a choice",
			<Choice key="b" label="Covers" name="covers" wrong="Lots was given.">
				<option>lots</option>
			</Choice>,
		],
		[
			"a long text",
			<LongText key="c" label="Covers" name="covers" defaultValue="lots" wrong="Lots was given." />,
		],
	])("%s that does not hold keeps what was typed and tells a reader why", (_, field) => {
		onScreen(field);
		const control = screen.getByRole(/choice/.test(String(_)) ? "combobox" : "textbox") as HTMLInputElement;
		expect(control.value).toBe("lots");
		expect(control.getAttribute("aria-invalid")).toBe("true");
		const why = document.getElementById(control.getAttribute("aria-describedby") ?? "");
		expect(why?.textContent).toBe("Lots was given.");
	});

	it("a long text is left alone when figures beside it change, so that what is marked stays marked", async () => {
		const { user } = onScreen(<NoteAndCovers />);
		const note = screen.getByLabelText<HTMLTextAreaElement>("Note");
		const written = vi.spyOn(note, "defaultValue", "set");
		await user.click(screen.getByRole("button"));
		expect(screen.getByText("141 covers")).toBeDefined();
		expect(written).not.toHaveBeenCalled();
	});

	it("two of one page are described apart", () => {
		onScreen(
			<>
				<Field label="Opens" name="opens" wrong="One." />
				<Field label="Closes" name="closes" wrong="Two." />
			</>,
		);
		const [opens, closes] = screen
			.getAllByRole("textbox")
			.map((field) => field.getAttribute("aria-describedby"));
		expect(opens).not.toBe(closes);
	});
});

describe("when somebody was quicker", () => {
	it("what they changed is told at once, with both ways on", () => {
		onScreen(
			<StaleNote
				stale={{ version: 5, changes: [{ who: "Ada", at: "Sat 14:05", what: "covers: 140 → 160" }] }}
			/>,
		);
		const note = screen.getByRole("alert");
		expect(note.textContent).toContain("covers: 140 → 160, by Ada at Sat 14:05");
		expect(note.textContent).toContain("Save again to put it over theirs");
		expect(screen.getByRole("link", { name: "Take theirs" })).toBeDefined();
	});
});

describe("when the connection is gone", () => {
	it("it is said that nothing is lost, and what to do", () => {
		onScreen(<NotSentNote />);
		expect(screen.getByRole("alert").textContent).toMatch(/still here.*Save again.*do not close/);
	});
});

describe("a moment", () => {
	const field = (date = "2031-12-05", time = "19:30") => {
		const { container } = onScreen(<MomentField label="Service" typed={{ date, time }} wrong={{}} />);
		return {
			text: screen.getByLabelText<HTMLInputElement>("Service"),
			day: container.querySelector<HTMLInputElement>("input[name=date]"),
		};
	};

	it("is shown with its weekday, and read back as it is typed", () => {
		const { text, day } = field();
		expect(text.value).toBe("Fri 5 Dec 2031 19:30");
		fireEvent.change(text, { target: { value: "6 dec 2031 2015" } });
		fireEvent.blur(text);
		expect(text.value).toBe("Sat 6 Dec 2031 20:15");
		expect(day?.value).toBe("2031-12-06");
	});

	it("of a time alone keeps its day", () => {
		const { text, day } = field();
		fireEvent.change(text, { target: { value: "7 pm" } });
		fireEvent.blur(text);
		expect(text.value).toBe("Fri 5 Dec 2031 19:00");
		expect(day?.value).toBe("2031-12-05");
	});

	it("that is none stays as it was typed", () => {
		const { text } = field("2031-12-05", "half seven");
		expect(text.value).toBe("half seven");
		fireEvent.blur(text);
		expect(text.value).toBe("half seven");
	});

	it("says at its field what is wrong with either part", () => {
		onScreen(<MomentField label="Service" typed={{}} wrong={{ date: "No such day." }} />);
		expect(screen.getByLabelText(/^Service/).getAttribute("aria-invalid")).toBe("true");
		expect(screen.getByText("No such day.")).toBeDefined();
	});
});

describe("a stepper", () => {
	it("goes by one, and not past its ends", () => {
		const onValue = vi.fn();
		onScreen(<Stepper value={0} of="GN 1/1-100" most={1} onValue={onValue} />);
		expect(screen.getByRole<HTMLButtonElement>("button", { name: "One GN 1/1-100 fewer" }).disabled).toBe(
			true,
		);
		fireEvent.click(screen.getByRole("button", { name: "One GN 1/1-100 more" }));
		expect(onValue).toHaveBeenCalledWith(1);
	});
});

describe("a file", () => {
	it("is named once it is chosen", () => {
		onScreen(<FileField label="File to take in" name="file" accept=".json" />);
		expect(screen.getByText("or drop it here")).toBeDefined();
		const file = new File(["{}"], "book.json", { type: "application/json" });
		fireEvent.change(screen.getByLabelText("File to take in"), { target: { files: [file] } });
		expect(screen.getByText("book.json")).toBeDefined();
	});
});
