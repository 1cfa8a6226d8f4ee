import { chakra } from "@chakra-ui/react/styled-system";
import { Form, Link } from "react-router";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Figure, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/recall.route";
import { RECALL_KINDS, RECALL_WORDS, recallPage } from "./recallPage.ts";

export const meta: Route.MetaFunction = () => [{ title: "Trace and recall · Records" }];

export async function loader({ context, request }: Route.LoaderArgs) {
	return recallPage(await visitOf(context), new URL(request.url).searchParams);
}

const Row = chakra("li", {
	base: {
		borderTop: "1px solid",
		borderColor: "hair",
		paddingBlock: "8px",
		display: "grid",
		gap: "2px",
	},
});

type Found = NonNullable<Route.ComponentProps["loaderData"]["found"]>;

/** From a packet, an ingredient, a probe or a pan: all it went into, and all that is in that. */
export default function Recall({ loaderData: { asked, wrong, found } }: Route.ComponentProps) {
	return (
		<Page>
			<PageHead title="Trace and recall" says="Where it came from, and all it went into">
				<ActLink to="/records" aria-keyshortcuts="z">
					All records <Key aria-hidden>z</Key>
				</ActLink>
			</PageHead>
			<Form role="search">
				<Sheet marginTop="12px" display="flex" flexWrap="wrap" gap="10px 12px" alignItems="end">
					<chakra.div flex="1 1 220px" maxWidth="300px">
						<Choice label="Begin with" name="what" defaultValue={asked.what}>
							{RECALL_KINDS.map((kind) => (
								<option key={kind} value={kind}>
									{RECALL_WORDS[kind]}
								</option>
							))}
						</Choice>
					</chakra.div>
					<chakra.div flex="2 1 240px">
						<Field
							label="Which"
							name="find"
							type="search"
							defaultValue={asked.text}
							wrong={wrong || undefined}
						/>
					</chakra.div>
					<Act kind="next">Find it</Act>
				</Sheet>
			</Form>
			{found ? <Reached found={found} /> : null}
		</Page>
	);
}

function Reached({ found }: { readonly found: Found }) {
	if (found.lots.length === 0 && found.deliveries.length === 0)
		return <Note marginTop="12px">Nothing in the record names it.</Note>;
	return (
		<>
			<Figure size="large" display="block" marginBlock="14px 8px">
				{found.head}
			</Figure>
			<chakra.div
				display="grid"
				gap="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0,7fr) minmax(0,5fr)" }}
			>
				<Sheet>
					<Heading>Made of it</Heading>
					<ul>
						{found.lots.map((lot) => (
							<LotReached key={lot.lot} lot={lot} />
						))}
					</ul>
					{found.lots.length === 0 ? <p>No lot was made of it.</p> : null}
				</Sheet>
				<chakra.div display="grid" gap="10px">
					<Sheet>
						<Heading>Who may have it</Heading>
						<ul>
							{found.sittings.map(({ id, to, name, says, diets }) => (
								<Row key={id}>
									<span>
										<Link to={to}>{name}</Link> <Muted>{says}</Muted>
									</span>
									{diets ? <span>Among them: {diets}</span> : null}
								</Row>
							))}
						</ul>
						{found.named.map((name) => (
							<p key={name}>
								{name} <Muted>as the record names it; no sitting of the book</Muted>
							</p>
						))}
						{found.sittings.length + found.named.length === 0 ? <p>No sitting.</p> : null}
					</Sheet>
					<Sheet>
						<Heading>Came in</Heading>
						<ul>
							{found.deliveries.map(({ delivery, to, name, says, isAsked }) => (
								<Row key={delivery}>
									<span>
										<Link to={to}>{name}</Link>
										{isAsked ? <b> ◂ asked for</b> : null}
									</span>
									<Muted>{says}</Muted>
								</Row>
							))}
						</ul>
						{found.deliveries.length === 0 ? <p>No delivery was written down.</p> : null}
					</Sheet>
				</chakra.div>
			</chakra.div>
		</>
	);
}

function LotReached({ lot }: { readonly lot: Found["lots"][number] }) {
	return (
		<Row>
			<span>
				<Link to={lot.to}>
					<b>{lot.name}</b>
				</Link>{" "}
				<Muted>{lot.says}</Muted>
			</span>
			<span>
				{lot.pans.map(({ tag, words, isLeft }) => (
					<chakra.span key={tag} display="block" color={isLeft ? "ink" : "muted"}>
						<b>{tag}</b> {words}
					</chakra.span>
				))}
			</span>
			<span>{[lot.release, ...lot.for].join("; ")}</span>
			<Muted>
				Allergens: {lot.allergens}
				{lot.from ? `. From ${lot.from}` : ""}
			</Muted>
		</Row>
	);
}
