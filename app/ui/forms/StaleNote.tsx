import { ActLink, Heading, Note } from "../parts/parts.tsx";
import type { StaleView } from "./stale.ts";

/** Somebody else saved first: what they changed, and the two ways on. */
export function StaleNote({ stale }: { readonly stale: StaleView }) {
	return (
		<Note role="alert" marginBottom="14px" display="grid" gap="8px" justifyItems="start">
			<Heading>Somebody else has changed this since you opened it</Heading>
			<ul>
				{stale.changes.map(({ who, at, what }) => (
					<li key={`${at} ${what}`}>
						<b>{what}</b>, by {who} at {at}
					</li>
				))}
			</ul>
			<p>
				Nothing of yours is saved yet, and it is kept below. Save again to put it over theirs, or take theirs.
			</p>
			<ActLink to="." reloadDocument>
				Take theirs
			</ActLink>
		</Note>
	);
}
