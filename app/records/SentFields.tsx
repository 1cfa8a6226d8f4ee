import { chakra } from "@chakra-ui/react/styled-system";
import { MomentField } from "../ui/forms/DayField.tsx";
import type { Typed, Wrong } from "../ui/forms/form.ts";

/** What a form of the record carries: who sent it once, and what was wrong with the last one. */
export interface Sent {
	readonly clientId: string;
	/** Of the house, for what is kept while its server is out of reach. */
	readonly timeZone?: string;
	readonly typed: Typed;
	readonly wrong: Wrong;
}

/** What is sent with every form: its intent, what it is about, and its own name. */
export function SentFields({
	intent,
	sent,
	watch,
	part = "",
}: {
	readonly intent: string;
	readonly sent: Sent;
	readonly watch?: number;
	/** Tells several forms of one intent apart. */
	readonly part?: string;
}) {
	return (
		<>
			<input type="hidden" name="intent" value={intent} />
			<input type="hidden" name="part" value={part} />
			<input type="hidden" name="clientId" value={`${sent.clientId}-${intent}${part}`.slice(0, 40)} />
			{sent.timeZone === undefined ? null : <input type="hidden" name="timeZone" value={sent.timeZone} />}
			{watch === undefined ? null : (
				<>
					<input type="hidden" name="watch" value={watch} />
					<input type="hidden" name="back" value={watch} />
				</>
			)}
		</>
	);
}

/** When it was, where that was not just now: folded away. */
export function When({ wrong }: { readonly wrong: Wrong }) {
	return (
		<chakra.details marginBlock="6px" open={wrong.date || wrong.time ? true : undefined}>
			<summary>Not just now</summary>
			<chakra.div maxWidth="300px">
				<MomentField label="When (a time alone is today)" typed={{}} wrong={wrong} />
			</chakra.div>
		</chakra.details>
	);
}
