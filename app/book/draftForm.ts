import { checked } from "#core/check";
import { Draft, SCHOOL_QUESTIONS } from "#core/recipe";
import { addLine, addStep, inOneLine, moveLine, moveStep, removeLine, removeStep } from "./draftEdits.ts";

/**
 * The page of a draft is one form. Fields are `field.NAME`; each line and step is named
 * in order by `line` and `step`, with `line.KEY.text` and so on.
 *
 * @throws {Refusal} when it is no draft at all
 */
export function draftIn(form: FormData): Draft {
	const text = (name: string) => String(form.get(name) ?? "");
	const keys = (what: "line" | "step") => form.getAll(what).map(String);
	const school = (name: string) => (text(name) ? { school: text(name) } : {});
	const fields: Record<string, string> = {};
	for (const [name, value] of form) {
		if (name.startsWith("field.") && typeof value === "string") fields[name.slice("field.".length)] = value;
	}
	return checked(Draft, {
		kind: text("kind"),
		fields,
		lines: keys("line").map((key) => ({
			key,
			text: inOneLine(text(`line.${key}.text`)),
			group: text(`line.${key}.group`),
			role: text(`line.${key}.role`),
			exponent: text(`line.${key}.exponent`),
			...school(`line.${key}.school`),
		})),
		steps: keys("step").map((key) => ({
			key,
			place: text(`step.${key}.place`),
			text: text(`step.${key}.text`),
			station: text(`step.${key}.station`),
			handsOn: text(`step.${key}.handsOn`),
			waiting: text(`step.${key}.waiting`),
			grows: text(`step.${key}.grows`) || "withWeight",
			temperature: text(`step.${key}.temperature`),
			tools: text(`step.${key}.tools`),
			caution: text(`step.${key}.caution`),
			check: text(`step.${key}.check`),
			heat: text(`step.${key}.heat`),
			when: text(`step.${key}.when`),
			...school(`step.${key}.school`),
		})),
		schools: Object.fromEntries(
			SCHOOL_QUESTIONS.flatMap((question) => {
				const answer = text(`chosen.${question}`);
				return answer ? [[question, answer]] : [];
			}),
		),
	});
}

/** What a button of the page asks for, beside keeping what was typed. */
export type DraftIntent = "save" | "number" | "discard" | "choose";

/** The draft with the edit that a button names done: `addLine:base`, `moveUp:line:l3`, `remove:step:s2`. */
export function edited(draft: Draft, intent: string): Draft {
	const [act, what, key = ""] = intent.split(":");
	switch (act) {
		case "addLine":
			return addLine(draft, checkedGroup(what)).draft;
		case "addStep":
			return addStep(draft).draft;
		case "remove":
			return what === "step" ? removeStep(draft, key) : removeLine(draft, key);
		case "moveUp":
			return what === "step" ? moveStep(draft, key, -1) : moveLine(draft, key, -1);
		case "moveDown":
			return what === "step" ? moveStep(draft, key, 1) : moveLine(draft, key, 1);
		default:
			return draft;
	}
}

function checkedGroup(group = ""): Draft["lines"][number]["group"] {
	return group === "liquid" || group === "finish" || group === "garnish" || group === "side" ? group : "base";
}
