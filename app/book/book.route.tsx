import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { useEffect, useRef } from "react";
import { Form, Link, useSubmit } from "react-router";
import { oneOf } from "#core/check";
import {
	ALLERGEN_LISTS,
	ALLERGEN_NAMES,
	ALLERGENS,
	type Allergen,
	type AllergenListKey,
	isPreparation,
	onList,
	seasonWords,
} from "#core/recipe";
import { CUTS, cutWords } from "#core/trade";
import {
	type Database,
	findRecipes,
	type ListingRow,
	readDocs,
	readDrafts,
	readTags,
	type Sought,
} from "#db";
import { DishSilhouette } from "../ui/drawings/DishSilhouette.tsx";
import { type Silhouette, silhouetteOf } from "../ui/drawings/silhouette.ts";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { readForm } from "../ui/forms/form.ts";
import { Pages } from "../ui/parts/Pages.tsx";
import { Act, ActLink, Key, Muted, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import { stateWords } from "../ui/words/stateWords.ts";
import type { Route } from "./+types/book.route";

export const meta: Route.MetaFunction = () => [{ title: "Book · Wide Table" }];

const PAGE = 40;

/** What is looked for, as the address has it; what does not hold is not looked for. */
const SoughtForm = Type.Object({
	find: Type.Optional(Type.String({ maxLength: 200 })),
	kind: Type.Optional(oneOf(["", "dish", "preparation"] as const)),
	state: Type.Optional(oneOf(["", "tested", "standard", "retired"] as const)),
	cut: Type.Optional(oneOf(["", ...CUTS] as const)),
	without: Type.Optional(oneOf(["", ...ALLERGEN_NAMES] as const)),
	tag: Type.Optional(Type.String({ maxLength: 30 })),
	month: Type.Optional(Type.Integer({ minimum: 1, maximum: 12 })),
	sort: Type.Optional(oneOf(["name", "newest"] as const)),
	page: Type.Optional(Type.Integer({ minimum: 1, maximum: 100_000 })),
});

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store, house, reading } = await visitOf(context);
	const read = readForm(SoughtForm, new URL(request.url).searchParams);
	const asked = "value" in read ? read.value : {};
	const without = asked.without || undefined;
	// What an address asks for is looked for and shown, on the house's list or not.
	const offered = ALLERGEN_NAMES.filter(
		(name) => name === without || onList(house.allergenList, [name]).length > 0,
	);
	const page = asked.page ?? 1;
	const sought: Sought = {
		find: asked.find ?? "",
		...(asked.kind ? { kind: asked.kind } : {}),
		...(asked.state ? { state: asked.state } : {}),
		...(asked.cut ? { cut: asked.cut } : {}),
		...(asked.tag ? { tag: asked.tag } : {}),
		...(asked.month ? { month: asked.month } : {}),
		...(without ? { without: [without] } : {}),
		sort: asked.sort ?? "name",
		limit: PAGE,
		offset: (page - 1) * PAGE,
	};
	const [{ rows, count }, tags, drafts] = await Promise.all([
		findRecipes(store.db, sought),
		readTags(store.db),
		draftsFor(store.db),
	]);
	const docs = await readDocs(store.db, rows);
	const drawn = (row: ListingRow) => {
		const doc = docs.get(row.recipeId);
		return doc && !isPreparation(doc) ? silhouetteOf(doc, reading) : null;
	};
	return {
		asked: { ...asked, find: asked.find ?? "" },
		count,
		page,
		pages: Math.max(1, Math.ceil(count / PAGE)),
		isNarrowed: Object.entries(asked).some(([field, value]) => field !== "sort" && field !== "page" && value),
		recipes: inFamilies(rows.map((row) => ({ ...rowView(row, house.allergenList), drawn: drawn(row) }))),
		tags: tags.map(({ tag }) => tag),
		cuts: CUTS.map((cut) => ({ key: cut, words: cutWords(cut) })),
		allergens: offered.map((key) => ({ key, words: ALLERGENS[key] })),
		drafts,
	};
}

/** Drafts of recipes that have no number yet: they are nowhere else. */
async function draftsFor(db: Database) {
	const rows = await readDrafts(db);
	return rows
		.filter(({ basedOn }) => basedOn === null)
		.map(({ recipeId, doc, who }) => ({ id: recipeId, name: doc.fields.name || "Without a name yet", who }));
}

function rowView(row: ListingRow, list: AllergenListKey) {
	const what = row.cut ? cutWords(row.cut) : "preparation";
	return {
		id: row.recipeId,
		name: row.name,
		summary: row.summary,
		about: `${what} · ${stateWords(row.state).toLowerCase()} no. ${row.number}`,
		tags: row.tags,
		season: row.season.length > 0 ? seasonWords(row.season) : null,
		variantOf: row.variantOf,
		allergens: listedAllergens(row, list),
	};
}

type RowView = ReturnType<typeof rowView> & { readonly drawn: Silhouette | null };

/** Each card with the variants of it that were found with it. */
function inFamilies(rows: readonly RowView[]) {
	const found = new Set(rows.map(({ id }) => id));
	const isWithBase = ({ variantOf }: RowView) => variantOf !== null && found.has(variantOf);
	return rows
		.filter((row) => !isWithBase(row))
		.map((row) => ({ ...row, variants: rows.filter(({ variantOf }) => variantOf === row.id) }));
}

/** "Contains celery. May contain mustard." */
function listedAllergens(row: ListingRow, list: AllergenListKey): string {
	const words = (says: string, found: readonly Allergen[]) => {
		const named = onList(list, found).map((allergen) => ALLERGENS[allergen]);
		return named.length > 0 ? [`${says} ${named.join(", ")}.`] : [];
	};
	const all = [...words("Contains", row.allergens), ...words("May contain", row.mayContain)];
	const unknown = onList(list, row.notKnown).length > 0 ? ["Some lines are not described."] : [];
	return [...all, ...unknown].join(" ") || `None of ${ALLERGEN_LISTS[list].words}.`;
}

const List = chakra("ul", {
	base: {
		display: "grid",
		gap: "10px",
		marginTop: "12px",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" },
	},
});

type BookData = Route.ComponentProps["loaderData"];

export default function Book({ loaderData: book }: Route.ComponentProps) {
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" alignItems="center" gap="10px 14px">
				<Title marginInlineEnd="auto">The book</Title>
				<ActLink to="/book/new" aria-keyshortcuts="n" kind="next">
					Write a recipe <Key aria-hidden>n</Key>
				</ActLink>
				<ActLink to="/book/ingredients" aria-keyshortcuts="i">
					Ingredients <Key aria-hidden>i</Key>
				</ActLink>
				<ActLink to="/book/exchange" aria-keyshortcuts="x">
					In and out <Key aria-hidden>x</Key>
				</ActLink>
			</chakra.div>
			<Search book={book} />
			<Drafts drafts={book.drafts} />
			<Muted display="block" marginTop="12px" aria-live="polite">
				{counted(book.count, "recipe")}
				{book.isNarrowed ? " found" : ""}
			</Muted>
			<List>
				{book.recipes.map((recipe) => (
					<Sheet as="li" key={recipe.id} display="grid" gap="6px" alignContent="start">
						<chakra.div display="flex" flexWrap="wrap" gap="8px 16px" alignItems="center">
							<chakra.div flex="1 1 200px" minWidth="0">
								<Link to={`/book/${recipe.id}`} style={{ textDecoration: "none" }}>
									<Tape>{recipe.name}</Tape>
								</Link>
							</chakra.div>
							{recipe.drawn ? <DishSilhouette of={recipe.drawn} pxPerMm={IN_BOOK} /> : null}
						</chakra.div>
						<p>{recipe.summary}</p>
						<Muted>
							{recipe.about}
							{recipe.tags.length > 0 ? ` · ${recipe.tags.join(", ")}` : ""}
							{recipe.season ? ` · ${recipe.season}` : ""}
						</Muted>
						<Muted>{recipe.allergens}</Muted>
						{recipe.variants.length > 0 ? <Variants variants={recipe.variants} /> : null}
					</Sheet>
				))}
			</List>
			{book.recipes.length === 0 ? <Nothing book={book} /> : null}
			<Pages page={book.page} pages={book.pages} />
		</Page>
	);
}

/** All dishes of the book in one scale, px a mm. */
const IN_BOOK = 0.22;

/** What goes back to the card, under it. */
function Variants({ variants }: { readonly variants: BookData["recipes"][number]["variants"] }) {
	return (
		<chakra.ul display="grid" gap="8px" marginTop="4px" aria-label="Variants of it">
			{variants.map(({ id, name, summary, season, allergens }) => (
				<chakra.li
					key={id}
					borderTop="1px solid"
					borderColor="hair"
					paddingTop="8px"
					paddingInlineStart="18px"
				>
					<Link to={`/book/${id}`}>
						<b>{name}</b>
					</Link>
					<chakra.p>{summary}</chakra.p>
					<Muted>
						{season ? `${season} · ` : ""}
						{allergens}
					</Muted>
				</chakra.li>
			))}
		</chakra.ul>
	);
}

/** How long typing has to rest before it is looked for, ms. */
const REST_MS = 180;

function Search({ book: { asked, cuts, allergens, tags } }: { readonly book: BookData }) {
	const submit = useSubmit();
	const form = useRef<HTMLFormElement>(null);
	const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
	useEffect(() => () => clearTimeout(timer.current), []);
	const look = (after: number) => {
		clearTimeout(timer.current);
		timer.current = setTimeout(() => {
			if (form.current) submit(form.current, { replace: true, preventScrollReset: true });
		}, after);
	};
	return (
		<Form role="search" ref={form} onChange={(event) => look(isText(event.target) ? REST_MS : 0)}>
			<Sheet marginTop="12px" display="flex" flexWrap="wrap" gap="10px 12px" alignItems="end">
				<chakra.div flex="2 1 240px">
					<Field
						label="Find by name, ingredient, cut, allergen or tag"
						name="find"
						type="search"
						defaultValue={asked.find}
						autoComplete="off"
						aria-keyshortcuts="f"
						data-key-name="Find"
					/>
				</chakra.div>
				<Filter label="Kind" name="kind" value={asked.kind}>
					<option value="">all</option>
					<option value="dish">dishes</option>
					<option value="preparation">preparations</option>
				</Filter>
				<Filter label="Life" name="state" value={asked.state}>
					<option value="">in use</option>
					<option value="standard">standards</option>
					<option value="tested">in test</option>
					<option value="retired">retired</option>
				</Filter>
				<Filter label="Cut" name="cut" value={asked.cut}>
					<option value="">any</option>
					{cuts.map(({ key, words }) => (
						<option key={key} value={key}>
							{words}
						</option>
					))}
				</Filter>
				<Filter label="Without" name="without" value={asked.without}>
					<option value="">–</option>
					{allergens.map(({ key, words }) => (
						<option key={key} value={key}>
							{words}
						</option>
					))}
				</Filter>
				<Filter label="Tag" name="tag" value={asked.tag}>
					<option value="">any</option>
					{tags.map((tag) => (
						<option key={tag}>{tag}</option>
					))}
				</Filter>
				<Filter label="Season" name="month" value={asked.month === undefined ? "" : String(asked.month)}>
					<option value="">any</option>
					{MONTHS.map((month) => (
						<option key={month} value={month}>
							{seasonWords([month])}
						</option>
					))}
				</Filter>
				<Filter label="Order" name="sort" value={asked.sort}>
					<option value="name">by name</option>
					<option value="newest">newest first</option>
				</Filter>
				<Act>Find</Act>
			</Sheet>
		</Form>
	);
}

const MONTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] as const;

function isText(target: EventTarget): boolean {
	return target instanceof HTMLInputElement;
}

interface FilterProps {
	readonly label: string;
	readonly name: string;
	readonly value: string | undefined;
	readonly children: React.ReactNode;
}

function Filter({ label, name, value, children }: FilterProps) {
	return (
		<chakra.div flex="1 1 110px" maxWidth="180px">
			<Choice label={label} name={name} defaultValue={value ?? ""}>
				{children}
			</Choice>
		</chakra.div>
	);
}

function Drafts({ drafts }: Pick<BookData, "drafts">) {
	if (drafts.length === 0) return null;
	return (
		<Sheet marginTop="10px">
			<b>Being written</b>
			<ul>
				{drafts.map(({ id, name, who }) => (
					<li key={id}>
						<Link to={`/book/${id}/write`}>{name}</Link> <Muted>by {who}</Muted>
					</li>
				))}
			</ul>
		</Sheet>
	);
}

function Nothing({ book: { asked, isNarrowed } }: { readonly book: BookData }) {
	return (
		<Sheet marginTop="10px">
			{isNarrowed ? (
				<p>
					Nothing in the book is like that{asked.find ? `: “${asked.find}”` : ""}. Try a shorter word, or{" "}
					<Link to="/book">look at all of it</Link>.
				</p>
			) : (
				<p>
					The book is empty. <Link to="/book/new">Write a recipe</Link>, or take some in under{" "}
					<Link to="/book/exchange">In and out</Link>.
				</p>
			)}
		</Sheet>
	);
}
