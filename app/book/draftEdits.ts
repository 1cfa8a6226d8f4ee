import { type Draft, type DraftLine, type DraftStep, emptyLine, emptyStep } from "#core/recipe";
import { GROUPS } from "#core/trade";

/** Every change a cook makes to a draft, as a function of the draft: pages and server use the same ones. */

/** A key that no line or step of the draft has. */
function freshKey(draft: Draft, letter: "l" | "s"): string {
	const taken = new Set([...draft.lines, ...draft.steps].map(({ key }) => key));
	let number = draft.lines.length + draft.steps.length + 1;
	while (taken.has(`${letter}${number}`)) number += 1;
	return `${letter}${number}`;
}

export function changeField(draft: Draft, field: string, value: string): Draft {
	return { ...draft, fields: { ...draft.fields, [field]: value } };
}

export function changeLine(draft: Draft, key: string, change: Partial<DraftLine>): Draft {
	return { ...draft, lines: draft.lines.map((line) => (line.key === key ? { ...line, ...change } : line)) };
}

/** Adds an empty line at the end of a group, or after another line. @returns its key too */
export function addLine(
	draft: Draft,
	group: DraftLine["group"],
	after?: string,
): { readonly draft: Draft; readonly key: string } {
	const key = freshKey(draft, "l");
	const line = emptyLine(key, group);
	const lines = inGroups(draft.lines);
	const at = after
		? lines.findIndex((other) => other.key === after) + 1
		: lines.filter((other) => GROUPS.indexOf(other.group) <= GROUPS.indexOf(group)).length;
	return { key, draft: { ...draft, lines: [...lines.slice(0, at), line, ...lines.slice(at)] } };
}

export function removeLine(draft: Draft, key: string): Draft {
	return { ...draft, lines: draft.lines.filter((line) => line.key !== key) };
}

/** Lines as they are shown: group by group, each in its own order. */
export function inGroups(lines: readonly DraftLine[]): DraftLine[] {
	return GROUPS.flatMap((group) => lines.filter((line) => line.group === group));
}

/** Moves a line one place up or down; at the edge of its group it joins the next group. */
export function moveLine(draft: Draft, key: string, by: -1 | 1): Draft {
	const lines = inGroups(draft.lines);
	const from = lines.findIndex((line) => line.key === key);
	const line = lines[from];
	if (!line) return draft;
	const beside = lines[from + by];
	if (beside?.group === line.group) return { ...draft, lines: swapped(lines, from, from + by) };
	const group = GROUPS[GROUPS.indexOf(line.group) + by];
	if (!group) return draft;
	return placeLine(draft, key, group, by > 0 ? 0 : Number.POSITIVE_INFINITY);
}

/** Puts a line at a place of a group. */
export function placeLine(draft: Draft, key: string, group: DraftLine["group"], index: number): Draft {
	const line = draft.lines.find((candidate) => candidate.key === key);
	if (!line) return draft;
	const others = inGroups(draft.lines).filter((candidate) => candidate.key !== key);
	const there = others.filter((candidate) => candidate.group === group);
	const at = Math.max(0, Math.min(index, there.length));
	const placed = [...there.slice(0, at), { ...line, group }, ...there.slice(at)];
	return {
		...draft,
		lines: GROUPS.flatMap((from) =>
			from === group ? placed : others.filter((other) => other.group === from),
		),
	};
}

function swapped<T>(all: readonly T[], from: number, to: number): T[] {
	const copy = [...all];
	const [a, b] = [copy[from], copy[to]];
	if (a !== undefined && b !== undefined) {
		copy[from] = b;
		copy[to] = a;
	}
	return copy;
}

export function changeStep(draft: Draft, key: string, change: Partial<DraftStep>): Draft {
	return { ...draft, steps: draft.steps.map((step) => (step.key === key ? { ...step, ...change } : step)) };
}

/** Adds an empty step after another one, at the place of that one; at the end when none is named. */
export function addStep(draft: Draft, after?: string): { readonly draft: Draft; readonly key: string } {
	const key = freshKey(draft, "s");
	const before = after ? draft.steps.findIndex((step) => step.key === after) : draft.steps.length - 1;
	const step = emptyStep(key, draft.steps[before]?.place ?? "trim");
	const at = before + 1;
	return { key, draft: { ...draft, steps: [...draft.steps.slice(0, at), step, ...draft.steps.slice(at)] } };
}

export function removeStep(draft: Draft, key: string): Draft {
	return { ...draft, steps: draft.steps.filter((step) => step.key !== key) };
}

export function moveStep(draft: Draft, key: string, by: -1 | 1): Draft {
	const from = draft.steps.findIndex((step) => step.key === key);
	const to = from + by;
	if (from < 0 || to < 0 || to >= draft.steps.length) return draft;
	return { ...draft, steps: swapped(draft.steps, from, to) };
}

/** What was pasted over several lines, as the one line that it is. */
export function inOneLine(text: string): string {
	return text.replace(/\s*[\r\n]+\s*/g, " ");
}
