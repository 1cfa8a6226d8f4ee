import { Heading, Note } from "../parts/parts.tsx";

/** The connection is gone: nothing is saved, and nothing typed is lost. */
export function NotSentNote() {
	return (
		<Note role="alert" marginBlock="14px">
			<Heading>Not saved: the house's server does not answer</Heading>
			<p>What you typed is still here. Save again when the connection is back; do not close this page.</p>
		</Note>
	);
}
