// @vitest-environment happy-dom
import { act, fireEvent, screen } from "@testing-library/react";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { inputOf, setTrial } from "../places/setTrial.ts";
import { onScreen } from "../ui/onScreen.testing.tsx";
import type { LongTableView } from "./longTable.view.ts";
import { ScaleControl } from "./ScaleControl.tsx";

const VIEW = {
	control: {
		typed: { basis: "covers", covers: "140", wishes: "gn-1-2-100:2", line: "share:0.5", colour: "" },
		segments: [],
		panTypes: [],
	},
	changed: false,
	sitting: { others: 0 },
} as unknown as LongTableView;

/** The control on a page that draws itself again for another reason. */
function Table() {
	const [times, setTimes] = useState(0);
	return (
		<>
			<ScaleControl view={VIEW} wrong={{}} version={4} />
			<button type="button" onClick={() => setTimes(times + 1)}>
				Drawn {times} times
			</button>
		</>
	);
}

describe("what a drawing puts into the scale control", () => {
	it("stays there when the page is drawn again before it is sent", () => {
		onScreen(Table);
		act(() => setTrial({ wishes: "" }));
		fireEvent.click(screen.getByRole("button", { name: /Drawn/ }));
		fireEvent.click(screen.getByRole("button", { name: "Drawn 1 times" }));
		expect(inputOf("wishes")?.value).toBe("");
		expect(inputOf("line")?.value).toBe("share:0.5");
		act(() => setTrial({ wishes: "gn-1-2-100:1", line: "" }));
		fireEvent.click(screen.getByRole("button", { name: "Drawn 2 times" }));
		expect(inputOf("wishes")?.value).toBe("gn-1-2-100:1");
		expect(inputOf("line")?.value).toBe("");
	});
});
