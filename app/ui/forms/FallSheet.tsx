import { chakra } from "@chakra-ui/react/styled-system";
import { useEffect, useRef } from "react";
import { Form, Link } from "react-router";
import { Act, ActLink, Heading, Muted, Note } from "../parts/parts.tsx";
import { Field } from "./Field.tsx";
import type { FallView } from "./fall.ts";
import type { Typed } from "./form.ts";

/** What an action answered: with what falls, where something does. */
type Answered =
	| {
			readonly fall?: FallView | null | undefined;
			readonly typed?: Typed;
			readonly sent?: FallSheetProps["sent"];
	  }
	| null
	| undefined;

/** The sheet where something falls, and nothing where nothing does. */
export function FallNote({ answered }: { readonly answered: Answered }) {
	if (!answered?.fall) return null;
	return <FallSheet fall={answered.fall} sent={answered.sent ?? Object.entries(answered.typed ?? {})} />;
}

interface FallSheetProps {
	readonly fall: FallView;
	/** What was sent, name by name: it is sent again with the name under it. */
	readonly sent: readonly (readonly [name: string, value: string])[];
}

/** Less would be declared than before: thing by thing, and nothing is saved until somebody puts a name under it. */
function FallSheet({ fall: { mark, groups }, sent }: FallSheetProps) {
	const here = useRef<HTMLDivElement>(null);
	// Whoever pressed the button stands at the end of the page.
	useEffect(() => {
		// What it gives back is no clean-up of this effect.
		here.current?.scrollIntoView({ block: "start" });
	}, []);
	const again = sent.filter(([name]) => !name.startsWith("confirm"));
	return (
		<Note ref={here} role="alert" scrollMarginTop="60px" marginBlock="14px" display="grid" gap="8px">
			<Heading>▲ Less would be declared. Nothing is saved yet</Heading>
			<p>
				Somebody may rely on what stands here now. Look at each, and put your name under it where it is true.
			</p>
			{groups.map(({ title, rows, more }) => (
				<chakra.section key={title} aria-label={title}>
					<b>{title}</b>
					<ul>
						{rows.map(({ key, name, words }) => (
							<li key={key}>
								{name} <Muted>{words}</Muted>
							</li>
						))}
					</ul>
					{more > 0 ? <Muted>and {more} more</Muted> : null}
				</chakra.section>
			))}
			<Form method="post" preventScrollReset>
				{again.map(([name, value], index) => (
					// biome-ignore lint/suspicious/noArrayIndexKey: names repeat, and the list never changes
					<input key={index} type="hidden" name={name} value={value} />
				))}
				<input type="hidden" name="confirmMark" value={mark} />
				<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="flex-end">
					<Field
						label="Your name, under all of it"
						name="confirmedBy"
						required
						minLength={2}
						maxLength={80}
						autoComplete="off"
					/>
					<Act>It is true: save it</Act>
					<ActLink to="." reloadDocument kind="quiet">
						Leave it as it is
					</ActLink>
				</chakra.div>
			</Form>
			<Muted>
				What is confirmed stands under <Link to="/book/declarations">What was taken off</Link>, and can be
				taken back.
			</Muted>
		</Note>
	);
}
