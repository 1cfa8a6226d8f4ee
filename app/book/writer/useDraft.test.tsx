// @vitest-environment happy-dom
import { act, fireEvent, screen } from "@testing-library/react";
import { useRef } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type Draft, emptyDraft } from "#core/recipe";
import { onScreen } from "../../ui/onScreen.testing.tsx";
import { type DraftKept, type DraftRefused, type DraftStale, letGo, useDraft } from "./useDraft.ts";

const START = emptyDraft("dish");
const named = (name: string): Draft => ({ ...START, fields: { ...START.fields, name } });
const KEPT: DraftKept = { version: 4, at: "09:05", open: { lines: "is missing" } };

/** What the server was sent, and what it answers. */
let sent: FormData[] = [];
let answers: (DraftKept | DraftStale | DraftRefused | { readonly notSent: true })[] = [];

/** What the server kept when it refused to number the draft. */
let refused: number | undefined;

function Desk() {
	const form = useRef<HTMLFormElement>(null);
	const hand = useDraft({ id: "neck", draft: START, version: 3, at: "09:00", open: {} }, form, refused);
	return (
		<form ref={form}>
			<input
				aria-label="Name"
				name="name"
				value={hand.draft.fields.name}
				onChange={(event) => hand.change(named(event.target.value), "name")}
			/>
			<input type="hidden" name="version" value={hand.version} />
			<button type="button" disabled={!hand.canUndo} onClick={hand.undo}>
				Undo
			</button>
			<button type="button" disabled={!hand.canRedo} onClick={hand.redo}>
				Redo
			</button>
			<button type="button" onClick={hand.overwrite}>
				Put mine over it
			</button>
			<output>{`${hand.keeping} ${hand.keptAt} ${hand.restored ? "restored" : ""} ${Object.keys(hand.open)}`}</output>
		</form>
	);
}

const desk = () =>
	onScreen(Desk, {
		action: async ({ request }) => {
			sent.push(await request.formData());
			return answers.shift() ?? KEPT;
		},
	});
const type = (name: string) => fireEvent.change(screen.getByLabelText("Name"), { target: { value: name } });
const said = () => screen.getByRole("status").textContent?.trim();
const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

beforeEach(() => {
	vi.useFakeTimers({ shouldAdvanceTime: false });
	sent = [];
	answers = [];
	refused = undefined;
	localStorage.clear();
});
afterEach(() => vi.useRealTimers());

describe("a draft in hand", () => {
	it("is sent once typing rests, with what stands in the form, and told as kept", async () => {
		desk();
		type("N");
		await pass(300);
		type("Neck");
		expect(said()).toMatch(/^keeping/);
		await pass(600);
		expect(sent).toHaveLength(0);
		await pass(400);
		expect(sent.map((form) => [form.get("intent"), form.get("name"), form.get("version")])).toEqual([
			["keep", "Neck", "3"],
		]);
		expect(said()).toBe("kept 09:05  lines");
	});

	it("is held at this desk until it is kept, then let go", async () => {
		desk();
		type("Neck");
		await pass(10);
		expect(localStorage.getItem("wide-table draft neck")).toContain("Neck");
		await pass(1200);
		expect(localStorage.getItem("wide-table draft neck")).toBeNull();
	});

	it("that was held and never sent comes back, and is sent", async () => {
		localStorage.setItem(
			"wide-table draft neck",
			JSON.stringify({ version: 3, draft: named("From before") }),
		);
		desk();
		expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("From before");
		expect(said()).toContain("restored");
		await pass(1200);
		expect(sent[0]?.get("name")).toBe("From before");
	});

	it.each([
		["of an older version", JSON.stringify({ version: 2, draft: named("Old") })],
		["that cannot be read", "{no JSON"],
	])("%s is left alone", (_, held) => {
		localStorage.setItem("wide-table draft neck", held);
		desk();
		expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("");
	});

	it("that somebody else has changed is not sent again until it is put over theirs", async () => {
		answers = [{ stale: 9 }];
		desk();
		type("Neck");
		await pass(1200);
		expect(said()).toMatch(/^stale/);
		type("Neck, kelp");
		await pass(9000);
		expect(sent).toHaveLength(1);
		fireEvent.click(screen.getByText("Put mine over it"));
		await pass(1200);
		expect(sent.map((form) => form.get("version"))).toEqual(["3", "9"]);
		expect(sent[1]?.get("name")).toBe("Neck, kelp");
		expect(said()).toMatch(/^kept/);
	});

	it("takes a step back and forth, and sends that too", async () => {
		desk();
		type("Neck");
		fireEvent.click(screen.getByText("Undo"));
		expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("");
		expect(screen.getByText<HTMLButtonElement>("Undo").disabled).toBe(true);
		fireEvent.click(screen.getByText("Redo"));
		expect(screen.getByLabelText<HTMLInputElement>("Name").value).toBe("Neck");
		await pass(1200);
		expect(sent[0]?.get("name")).toBe("Neck");
	});

	it("goes on where the browser keeps nothing", async () => {
		const refuses = vi.fn(() => {
			throw new Error("full");
		});
		vi.stubGlobal("localStorage", { getItem: refuses, setItem: refuses, removeItem: refuses });
		desk();
		type("Neck");
		await pass(1200);
		expect(refuses).toHaveBeenCalled();
		expect(sent[0]?.get("name")).toBe("Neck");
		expect(() => letGo("neck")).not.toThrow();
		vi.unstubAllGlobals();
	});

	it("what cannot be kept is said, held, and sent again only once it is changed", async () => {
		answers = [{ problems: [{ field: "fields.name", message: "has a character that cannot be seen" }] }];
		desk();
		type("Ne\u202Eck");
		await pass(1200);
		expect(said()).toBe("refused 09:00  fields.name");
		await pass(20_000);
		expect(sent).toHaveLength(1);
		type("Neck");
		await pass(1200);
		expect(sent).toHaveLength(2);
		expect(said()).toContain("kept 09:05");
	});

	it("goes on from the version that was kept when it could not be numbered", () => {
		refused = 9;
		desk();
		expect(document.querySelector<HTMLInputElement>("input[name=version]")?.value).toBe("9");
	});
});
