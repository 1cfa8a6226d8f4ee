import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { data, Form, Link, redirect } from "react-router";
import { oneOf } from "#core/check";
import { difference, isPreparation, isSame, nextStates } from "#core/recipe";
import { readKitchen, readRecipeRow, readVersions, setRecipeState } from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { readForm, typedIn, type Wrong } from "../ui/forms/form.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { stateWords } from "../ui/words/stateWords.ts";
import type { Route } from "./+types/versions.route";
import { ComparedTable } from "./ComparedTable.tsx";
import { compareView } from "./compareView.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name}, versions · Book` : "Book" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const [versions, row, kitchen] = await Promise.all([
		readVersions(store.db, params.recipeId),
		foundOr404(readRecipeRow(store.db, params.recipeId), "recipe"),
		readKitchen(store.db),
	]);
	const [newest, before] = versions;
	if (!newest) throw data({ missing: "recipe" }, { status: 404 });
	const address = new URL(request.url).searchParams;
	const chosen = (name: string) => versions.find(({ number }) => String(number) === address.get(name));
	const to = chosen("to") ?? newest;
	const from = chosen("from") ?? (to === newest ? (before ?? newest) : newest);
	const costing = { kitchen, reading, currency: house.currency, menuPrice_minor: row.menuPrice_minor };
	return {
		id: params.recipeId,
		name: newest.doc.name,
		isDish: !isPreparation(newest.doc),
		versions: versions.map((version) => ({
			number: version.number,
			state: version.state,
			words: `${stateWords(version.state)} no. ${version.number}`,
			next: nextStates(version.state),
			reason: version.reason,
			life: version.life.map(({ id, state, at, who, reason }) => ({
				id,
				words: `${state} ${reading.day(at)} ${reading.time(at)} by ${who}`,
				reason,
			})),
		})),
		from: from.number,
		to: to.number,
		same: isSame(difference(from.doc, to.doc, kitchen.known.byId)),
		compared: from.number === to.number ? null : compareView(from.doc, to.doc, costing),
	};
}

const StateForm = Type.Object({
	number: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
	state: oneOf(["tested", "standard", "retired"] as const),
	reason: Type.String({ maxLength: 300, allowed: "a reason of up to 300 characters" }),
});

export async function action({ context, params, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const form = await formOf(request);
	const read = readForm(StateForm, form);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	const { number, state, reason } = read.value;
	return doneOrSaid(typedIn(form), reading, async () => {
		const confirmed = confirmedIn(typedIn(form));
		const by = { who, reason, confirmed };
		await foundOr404(setRecipeState(store, params.recipeId, number, state, by), "version");
		return redirect(`/book/${params.recipeId}/versions`);
	});
}

const STATE_DEEDS = {
	tested: "Back to test",
	standard: "Approve as the standard",
	retired: "Retire",
} as const;

export default function Versions({ loaderData: view, actionData }: Route.ComponentProps) {
	const wrong: Wrong = actionData?.wrong ?? {};
	const typed: Readonly<Record<string, string>> = actionData?.typed ?? {};
	return (
		<Page>
			<PageHead title={view.name}>
				<ActLink to={`/book/${view.id}`}>The card</ActLink>
			</PageHead>
			<FallNote answered={actionData} />
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="12px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 8fr) minmax(0, 5fr)" }}
			>
				<Compare view={view} />
				<chakra.ol display="grid" gap="10px" aria-label="Versions">
					{view.versions.map((version) => (
						<Sheet as="li" key={version.number} display="grid" gap="6px">
							<Heading>
								<Link to={`/book/${view.id}?version=${version.number}`}>{version.words}</Link>
							</Heading>
							{version.reason ? <p>{version.reason}</p> : null}
							<ul>
								{version.life.map(({ id, words, reason }) => (
									<li key={id}>
										<Muted>
											{words}
											{reason && reason !== version.reason ? `: ${reason}` : ""}
										</Muted>
									</li>
								))}
							</ul>
							<Form method="post">
								<input type="hidden" name="number" value={version.number} />
								<Field
									label="Why"
									name="reason"
									maxLength={300}
									autoComplete="off"
									defaultValue={typed.number === String(version.number) ? typed.reason : ""}
									wrong={typed.number === String(version.number) ? wrong.reason : undefined}
								/>
								<chakra.div display="flex" gap="8px" marginTop="6px">
									{version.next.map((state) => (
										<Act
											key={state}
											name="state"
											value={state}
											kind={state === "standard" ? "next" : "plain"}
										>
											{STATE_DEEDS[state]}
										</Act>
									))}
								</chakra.div>
							</Form>
						</Sheet>
					))}
				</chakra.ol>
			</chakra.div>
		</Page>
	);
}

type View = Route.ComponentProps["loaderData"];

function Compare({ view }: { readonly view: View }) {
	const { compared } = view;
	if (view.versions.length === 1) {
		return (
			<Sheet>
				<p>There is one version so far. The next one stands beside it here.</p>
			</Sheet>
		);
	}
	return (
		<Sheet display="grid" gap="12px">
			<Form>
				<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="end">
					<Heading marginInlineEnd="auto">Side by side</Heading>
					{(["from", "to"] as const).map((side) => (
						<chakra.div key={side} width="170px">
							<Choice
								label={side === "from" ? "This one" : "beside this"}
								name={side}
								defaultValue={view[side]}
							>
								{view.versions.map(({ number, words }) => (
									<option key={number} value={number}>
										{words}
									</option>
								))}
							</Choice>
						</chakra.div>
					))}
					<Act>Compare</Act>
				</chakra.div>
			</Form>
			{compared === null ? <p>The same one is on both sides.</p> : null}
			{compared && view.same ? <Note>The two say the same.</Note> : null}
			{compared && !view.same ? (
				<ComparedTable parts={compared} from={`No. ${view.from}`} to={`No. ${view.to}`} />
			) : null}
		</Sheet>
	);
}
