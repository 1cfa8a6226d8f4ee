import { Heading, Note } from "../parts/parts.tsx";

/** Nothing is saved, because the server is out of reach or cannot write; nothing typed is lost. */
export function NotSentNote({ said }: { readonly said?: string }) {
	return (
		<Note role="alert" marginBlock="14px">
			<Heading>{said || "Not saved: the house's server does not answer"}</Heading>
			<p>
				What you typed is still here. Save again when {said ? "that is mended" : "the connection is back"}; do
				not close this page.
			</p>
		</Note>
	);
}
