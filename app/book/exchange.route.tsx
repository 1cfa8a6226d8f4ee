import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, redirect } from "react-router";
import { Refusal } from "#core/check";
import { decodeText, NOT_IN_JSON_LD } from "#core/exchange";
import { stageImport } from "#db";
import { EXCHANGE_LIMIT } from "#server";
import { FileField } from "../ui/forms/FileField.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/exchange.route";

export const meta: Route.MetaFunction = () => [{ title: "In and out · Book" }];

/** Holds the file that was given and shows what it would do; nothing of the book is touched yet. */
export async function action({ context, request }: Route.ActionArgs) {
	const { store, who } = await visitOf(context);
	const file = await fileIn(request);
	if (!file) return data({ problem: "No file was given; a JSON or CSV file is allowed." }, { status: 400 });
	try {
		const { text } = decodeText(new Uint8Array(await file.arrayBuffer()));
		if (text.trim() === "") return data({ problem: `“${file.name}” is empty.` }, { status: 400 });
		return redirect(`/book/exchange/${await stageImport(store, file.name.slice(0, 120), text, who)}`);
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return data({ problem: `“${file.name}”: ${error.message}.` }, { status: 400 });
	}
}

async function fileIn(request: Request): Promise<File | undefined> {
	try {
		const given = (await formOf(request)).get("file");
		return given instanceof File && given.size > 0 ? given : undefined;
	} catch {
		// What cannot be read as a form has no file in it.
		return undefined;
	}
}

const OUT = [
	{
		to: "/book/export/book.json",
		name: "The whole book",
		says: "ingredients with prices, recipes with all versions; JSON",
	},
	{ to: "/book/export/ingredients.csv", name: "Ingredients", says: "densities, trim, allergens, packs; CSV" },
	{ to: "/book/export/prices.csv", name: "Prices", says: "every pack price with its day; CSV" },
	{ to: "/book/export/book.schema.json", name: "The format", says: "JSON Schema of the book" },
] as const;

export default function Exchange({ actionData }: Route.ComponentProps) {
	return (
		<Page>
			<chakra.div display="flex" alignItems="center" gap="14px">
				<Title marginInlineEnd="auto">In and out</Title>
				<ActLink to="/book">The book</ActLink>
			</chakra.div>
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="14px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" }}
			>
				<Form method="post" encType="multipart/form-data" style={{ minWidth: 0 }}>
					<Sheet display="grid" gap="12px">
						<Heading>Take in</Heading>
						<p>
							A book or a recipe of ours, a table of ingredients or prices, or a recipe with schema.org in it.
							You are shown what it would do before it does it.
						</p>
						<FileField
							label="File to take in"
							name="file"
							accept=".json,.jsonld,.csv,application/json,text/csv"
						/>
						{actionData?.problem ? (
							<Note role="alert">
								<b>Not read.</b> {actionData.problem}
							</Note>
						) : null}
						<chakra.div display="flex" gap="10px" alignItems="center">
							<Act kind="next" aria-keyshortcuts="a">
								Look at it <Key aria-hidden>a</Key>
							</Act>
							<Muted>up to {EXCHANGE_LIMIT / 1024 / 1024} MB</Muted>
						</chakra.div>
					</Sheet>
				</Form>
				<Sheet display="grid" gap="10px">
					<Heading>Give out</Heading>
					<ul>
						{OUT.map(({ to, name, says }) => (
							<li key={to}>
								<a href={to} download>
									<b>{name}</b>
								</a>{" "}
								<Muted>{says}</Muted>
							</li>
						))}
					</ul>
					<p>One recipe goes out from its card, as a file of ours, as schema.org JSON-LD or as Markdown.</p>
					<Muted>
						schema.org has no place for {NOT_IN_JSON_LD.join("; ")}. Our own file carries all of it.
					</Muted>
				</Sheet>
			</chakra.div>
		</Page>
	);
}
