import { chakra } from "@chakra-ui/react/styled-system";
import { Form, redirect } from "react-router";
import { type DeclarationRow, readDeclarations, takeDeclarationBack } from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { confirmedIn, fallView } from "../ui/forms/fall.ts";
import { typedIn } from "../ui/forms/form.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Muted, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import type { Route } from "./+types/declarations.route";

export const meta: Route.MetaFunction = () => [{ title: "What was taken off · Book" }];

export async function loader({ context }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	const rows = await readDeclarations(store.db);
	return { rows: rows.map((row) => rowView(row, reading)) };
}

function rowView(
	{
		id,
		at,
		who,
		what,
		confirmedBy,
		lowered,
		before,
		takenBackBy,
	}: Awaited<ReturnType<typeof readDeclarations>>[number],
	reading: Reading,
) {
	return {
		id,
		what,
		by: `${reading.moment(at)}, ${who}${confirmedBy ? `; confirmed by ${confirmedBy}` : ""}`,
		fell:
			lowered.length === 0
				? "nothing fell with it"
				: `less is declared of ${counted(lowered.length, "thing")}`,
		groups: groupsOf(lowered),
		takenBackBy,
		canTakeBack: before !== null && takenBackBy === null,
	};
}

function groupsOf(lowered: DeclarationRow["lowered"]) {
	return fallView({ lowered, mark: "" }).groups;
}

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const typed = typedIn(await formOf(request));
	const id = /^\d{1,9}$/.test(typed.id ?? "") ? Number(typed.id) : 0;
	return doneOrSaid(typed, reading, async () => {
		const by = { who, confirmed: confirmedIn(typed) };
		await foundOr404(takeDeclarationBack(store, id, by), "change that can be taken back");
		return redirect("/book/declarations");
	});
}

/** What was merged, taken in, or declared less of, by whom, under whose name; each can be taken back whole. */
export default function Declarations({ loaderData: { rows }, actionData }: Route.ComponentProps) {
	return (
		<Page>
			<PageHead
				title="What was taken off"
				says="Merges, files taken in, and whatever less is declared of since"
			>
				<ActLink to="/book/ingredients">All ingredients</ActLink>
			</PageHead>
			<FallNote answered={actionData} />
			<Sheet marginTop="12px">
				<ul>
					{rows.map(({ id, what, by, fell, groups, takenBackBy, canTakeBack }) => (
						<chakra.li key={id} borderTop="1px solid" borderColor="hair" paddingBlock="10px">
							<chakra.div display="flex" flexWrap="wrap" gap="4px 16px" alignItems="baseline">
								<chakra.div flex="1 1 320px">
									<b>{what}</b> <Muted>{by}</Muted>
									{groups.length === 0 ? (
										<Muted display="block">{fell}</Muted>
									) : (
										<details>
											<summary>{fell}</summary>
											{groups.map(({ title, rows: things, more }) => (
												<section key={title} aria-label={title}>
													<b>{title}</b>
													<ul>
														{things.map(({ key, name, words }) => (
															<li key={key}>
																{name} <Muted>{words}</Muted>
															</li>
														))}
													</ul>
													{more > 0 ? <Muted>and {more} more</Muted> : null}
												</section>
											))}
										</details>
									)}
								</chakra.div>
								{takenBackBy === null ? null : <span>taken back by {takenBackBy}</span>}
								{canTakeBack ? (
									<Form method="post" preventScrollReset>
										<input type="hidden" name="id" value={id} />
										<Act>Take it back</Act>
									</Form>
								) : null}
							</chakra.div>
						</chakra.li>
					))}
				</ul>
				{rows.length === 0 ? <p>Nothing yet: no merge, no file, and nothing was declared less of.</p> : null}
			</Sheet>
		</Page>
	);
}
