import { type AllergenView, notKnownWords } from "../words/allergenView.ts";
import { Heading, Muted, Note, Sheet } from "./parts.tsx";

/** What a dish contains, may contain and is free of, each traced to the line that brings it. */
export function Allergens({ view: { found, notKnown, freeOf, list } }: { readonly view: AllergenView }) {
	return (
		<Sheet>
			<Heading as="h2" fontSize="19px">
				Allergens
			</Heading>
			<ul>
				{found.map(({ name, presence, from }) => (
					<li key={name}>
						{presence} <b>{name}</b> <Muted>from {from}</Muted>
					</li>
				))}
			</ul>
			{notKnown.length > 0 ? <Note marginTop="6px">▲ {notKnownWords(notKnown)}</Note> : null}
			{freeOf.length > 0 ? (
				<Muted display="block" marginTop="4px">
					{found.length === 0 ? `None of ${list}` : `Of ${list} free of ${freeOf.join(", ")}`}, as the
					ingredients are described.
				</Muted>
			) : null}
		</Sheet>
	);
}
