import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, Link } from "react-router";
import { isPreparation, type Preparation, type Recipe, type RecipeState, seasonWords } from "#core/recipe";
import {
	readDraftOf,
	readFamily,
	readKitchen,
	readRecipe,
	readRecipeRow,
	readVersions,
	type Store,
} from "#db";
import { DishSilhouette } from "../ui/drawings/DishSilhouette.tsx";
import { silhouetteOf } from "../ui/drawings/silhouette.ts";
import { Choice, Field, Slot } from "../ui/forms/Field.tsx";
import { Allergens } from "../ui/parts/Allergens.tsx";
import { Facts } from "../ui/parts/Facts.tsx";
import { LineTable } from "../ui/parts/LineTable.tsx";
import { Act, ActLink, Figure, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { StepWords } from "../ui/parts/StepWords.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { ALONE } from "../ui/words/alone.ts";
import { stateWords } from "../ui/words/stateWords.ts";
import type { Route } from "./+types/card.route";
import { CARD_BASES, type CardSize, hasSize, readSize } from "./cardSize.ts";
import { AS_WRITTEN, type CardHouse, cardOrWhy, dishCard } from "./dishCard.ts";
import { preparationCard } from "./preparationCard.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name} · Book` : "Book" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const address = new URL(request.url).searchParams;
	const number = versionIn(address);
	const version = await foundOr404(readRecipe(store.db, params.recipeId, number), "recipe");
	const [kitchen, row, versions, draft] = await Promise.all([
		readKitchen(store.db),
		readRecipeRow(store.db, params.recipeId),
		readVersions(store.db, params.recipeId),
		readDraftOf(store.db, params.recipeId),
	]);
	const read = hasSize(address) ? readSize(address, reading.units) : null;
	const size: CardSize = read && "value" in read ? read.value : AS_WRITTEN;
	const { menuPrice_minor } = row;
	const cardHouse: CardHouse = { kitchen, reading, currency: house.currency, menuPrice_minor };
	const { doc } = version;
	const typed = read && "typed" in read ? read.typed : Object.fromEntries(address);
	return {
		id: version.recipeId,
		number: version.number,
		state: stateWords(version.state),
		isCurrent: number === undefined || versions.every((each) => each.number <= version.number),
		newest: versions[0]?.number ?? version.number,
		hasDraft: draft !== undefined,
		numbered: numberedNow(address, versions),
		name: doc.name,
		summary: doc.summary,
		tags: doc.tags ?? [],
		typed: { basis: typed.basis ?? "covers", size: typed.size ?? typed.portions ?? "" },
		wrong: read && "wrong" in read ? Object.values(read.wrong)[0] : undefined,
		family: await familyOf(store, version.recipeId, doc),
		about: aboutDish(doc),
		drawn: isPreparation(doc) ? null : silhouetteOf(doc, reading),
		...cardOf(doc, size, cardHouse),
	};
}

/** The number it has just been given, where one comes from writing it; null otherwise. */
function numberedNow(
	address: URLSearchParams,
	versions: readonly { readonly number: number; readonly state: RecipeState }[],
) {
	const asked = Number(address.get("numbered"));
	const version = versions.find(({ number }) => number === asked);
	return version ? { number: version.number, isInTest: version.state === "tested" } : null;
}

/** What it goes back to, what goes back to it, and a newer number of its base; null where it stands alone. */
async function familyOf({ db }: Store, id: string, doc: Recipe | Preparation) {
	if (isPreparation(doc)) return null;
	const family = await readFamily(db, id);
	const base = family.find(({ recipeId }) => recipeId === (doc.variantOf?.recipe ?? id));
	const newer = doc.variantOf && base && base.number > doc.variantOf.number ? base : null;
	const others = family.filter(({ recipeId }) => recipeId !== id);
	if (others.length === 0) return null;
	return {
		isVariant: doc.variantOf !== undefined,
		members: others.map(({ recipeId, name, summary }) => ({ id: recipeId, name, summary })),
		newer: newer && { name: newer.name, number: newer.number },
	};
}

/** When it is in season, where it comes from, what is drunk with it. */
function aboutDish(doc: Recipe | Preparation) {
	if (isPreparation(doc)) return [];
	const { season, origin, drinks } = doc;
	return [
		...(season ? [{ what: "Season", words: seasonWords(season) }] : []),
		...(origin ? [{ what: "Where it comes from", words: origin }] : []),
		...(drinks ? [{ what: "Drunk with it", words: drinks }] : []),
	];
}

function versionIn(address: URLSearchParams): number | undefined {
	const text = address.get("version");
	if (text === null) return undefined;
	if (/^\d{1,6}$/.test(text)) return Number(text);
	throw data({ missing: "version of this recipe" }, { status: 404 });
}

/** The card, or why there is none at that size. */
function cardOf(doc: Parameters<typeof isPreparation>[0], size: CardSize, house: CardHouse) {
	if (isPreparation(doc)) {
		const factor = size.basis === "factor" ? size.factor : 1;
		return { kind: "preparation" as const, preparation: preparationCard(doc, factor, house), refused: null };
	}
	const { made, refused } = cardOrWhy(doc, size, (tried) => dishCard(doc, tried, house));
	return { kind: "dish" as const, dish: made, base: doc.portions, refused };
}

type CardData = Route.ComponentProps["loaderData"];

export default function Card({ loaderData: card }: Route.ComponentProps) {
	const about =
		card.kind === "dish" ? `${card.dish.cut} · written for ${card.base} portions` : card.preparation.category;
	const groups = card.kind === "dish" ? card.dish.groups : card.preparation.groups;
	const shown = card.kind === "dish" ? card.dish : card.preparation;
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" gap="12px 28px" alignItems="flex-end">
				<chakra.div flex="1 1 420px" minWidth="0">
					<h1>
						<Tape size="large">{card.name}</Tape>
					</h1>
					<chakra.p marginTop="8px" maxWidth="66ch">
						{card.summary}
					</chakra.p>
					<Muted>
						{card.state} no. {card.number} · {about}
						{card.tags.length > 0 ? ` · ${card.tags.join(", ")}` : ""}
					</Muted>
				</chakra.div>
				<SizeControl card={card} />
			</chakra.div>
			{card.numbered ? <Numbered id={card.id} kind={card.kind} numbered={card.numbered} /> : null}
			<Doings card={card} />
			{card.isCurrent ? null : (
				<Note marginTop="12px">
					This is no. {card.number}. The newest is{" "}
					<Link to={`/book/${card.id}?version=${card.newest}`}>no. {card.newest}</Link>;{" "}
					<Link to={`versions?from=${card.number}&to=${card.newest}`}>compare the two</Link>.
				</Note>
			)}
			{card.refused ? (
				<Note role="alert" marginTop="12px">
					<b>Not at that size.</b> {card.refused} The card is shown as it is written.
				</Note>
			) : null}
			{card.kind === "dish" ? (
				<Sheet marginTop="14px" display="flex" flexWrap="wrap" gap="12px 32px" alignItems="center">
					{card.drawn ? <DishSilhouette of={card.drawn} pxPerMm={ON_CARD} /> : null}
					<chakra.div flex="1 1 320px" minWidth="0">
						<Facts facts={card.dish.facts} fontSize="17px" />
						<Muted display="block" marginTop="8px">
							Planned {ALONE}; on a sitting it has the figures of its day.
						</Muted>
					</chakra.div>
				</Sheet>
			) : null}
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 6fr) minmax(0, 5fr)" }}
			>
				<Sheet>
					<Heading marginBottom="6px">
						{card.kind === "dish" ? card.dish.heading : `Makes ${card.preparation.makes}`}
					</Heading>
					<LineTable groups={groups} />
					{card.kind === "dish" ? (
						<chakra.p color="muted" marginTop="8px">
							Braising liquid is what this kitchen's pans need; searing fat is for all loads.
						</chakra.p>
					) : null}
				</Sheet>
				<chakra.div display="grid" gap="10px">
					{card.family ? <Family id={card.id} family={card.family} /> : null}
					{card.kind === "dish" ? <Warnings warnings={card.dish.warnings} /> : null}
					<CostSheet id={card.id} kind={card.kind} cost={shown.cost} />
					<Sheet>
						<Heading>Method</Heading>
						<chakra.ol display="grid" gap="12px" marginTop="10px">
							{shown.steps.map((step) => (
								<chakra.li key={step.text} borderTop="1px solid" borderColor="hair" paddingTop="8px">
									<Tape>{step.place}</Tape>
									<StepWords step={step} />
								</chakra.li>
							))}
						</chakra.ol>
					</Sheet>
					<Allergens view={shown.allergens} />
					<Out id={card.id} />
					<AboutDish about={card.about} />
					{card.kind === "dish" ? <SchoolSheet schools={card.dish.schools} /> : null}
				</chakra.div>
			</chakra.div>
		</Page>
	);
}

interface NumberedProps {
	readonly id: string;
	readonly kind: CardData["kind"];
	readonly numbered: NonNullable<CardData["numbered"]>;
}

/** It has its number: what that means, and what comes next. */
function Numbered({ id, kind, numbered: { number, isInTest } }: NumberedProps) {
	const next = isInTest
		? kind === "dish"
			? "Cook it on a sitting, write down what happened, then approve it."
			: "Make it, then approve it."
		: kind === "dish"
			? "Sittings that have it keep their number until they take this one."
			: "What is made with it follows from now on.";
	return (
		<Note role="status" marginTop="12px" display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center">
			<chakra.span flex="1 1 300px">
				<b>
					No. {number} is {isInTest ? "in test" : "the standard"}.
				</b>{" "}
				{next}
			</chakra.span>
			{kind === "dish" ? <ActLink to="/sittings">Put it on a sitting</ActLink> : null}
			<ActLink to={`/book/${id}/versions`}>{isInTest ? "Approve it" : "All its numbers"}</ActLink>
		</Note>
	);
}

/** How large the dish's pan is drawn, px a mm. */
const ON_CARD = 0.44;

/** One control for every way to scale. */
function SizeControl({ card }: { readonly card: CardData }) {
	const bases = card.kind === "dish" ? Object.entries(CARD_BASES) : [["factor", CARD_BASES.factor] as const];
	return (
		<Form className="screenOnly">
			<input type="hidden" name="version" value={card.number} />
			<chakra.div display="flex" gap="8px" alignItems="flex-end" flexWrap="wrap">
				<Slot flex="1 1 80px" maxWidth="110px">
					<Field
						label="Read it for"
						name="size"
						defaultValue={card.typed.size}
						placeholder={card.kind === "dish" ? String(card.base) : "1"}
						wrong={card.wrong}
						aria-keyshortcuts="c"
						data-key-name="Size of the card"
					/>
				</Slot>
				<Slot flex="1 1 130px" maxWidth="180px">
					<Choice
						label="counted in"
						name="basis"
						defaultValue={card.kind === "dish" ? card.typed.basis : "factor"}
					>
						{bases.map(([key, words]) => (
							<option key={key} value={key}>
								{words}
							</option>
						))}
					</Choice>
				</Slot>
				<Act>
					Scale <Key aria-hidden>↵</Key>
				</Act>
			</chakra.div>
		</Form>
	);
}

function Doings({ card }: { readonly card: CardData }) {
	const size = `basis=${card.typed.basis}&size=${encodeURIComponent(card.typed.size)}`;
	return (
		<chakra.nav
			aria-label="This recipe"
			className="screenOnly"
			display="flex"
			flexWrap="wrap"
			gap="6px 12px"
			marginTop="10px"
		>
			<ActLink to="write" aria-keyshortcuts="w">
				{card.hasDraft ? "Go on writing" : "Change it"} <Key aria-hidden>w</Key>
			</ActLink>
			<ActLink to={`/book/new?from=${card.id}`}>Copy to a new card</ActLink>
			{card.kind === "dish" ? (
				<>
					<ActLink to={`/book/new?from=${card.id}&as=variant`}>Begin a variant</ActLink>
					<ActLink to="lesson">Teach it</ActLink>
				</>
			) : null}
			<ActLink to="versions" aria-keyshortcuts="v">
				Versions <Key aria-hidden>v</Key>
			</ActLink>
			{card.kind === "dish" ? (
				<ActLink to="cost" aria-keyshortcuts="m">
					Cost <Key aria-hidden>m</Key>
				</ActLink>
			) : null}
			<ActLink to={card.typed.size ? `print?${size}` : "print"} aria-keyshortcuts="p">
				Print <Key aria-hidden>p</Key>
			</ActLink>
		</chakra.nav>
	);
}

/** The cards it belongs together with, and a change of its base that it has not seen. */
function Family({ id, family }: { readonly id: string; readonly family: NonNullable<CardData["family"]> }) {
	return (
		<Sheet display="grid" gap="8px">
			<Heading>{family.isVariant ? "A variant, of the family" : "Its variants"}</Heading>
			{family.newer ? (
				<Note display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center">
					<span>
						{family.newer.name} is at no. {family.newer.number} now.
					</span>
					<ActLink to={`/book/${id}/base`}>See what changed, and take it</ActLink>
				</Note>
			) : null}
			<chakra.ul display="grid" gap="6px">
				{family.members.map((member) => (
					<li key={member.id}>
						<Link to={`/book/${member.id}`}>
							<b>{member.name}</b>
						</Link>{" "}
						<Muted>{member.summary}</Muted>
					</li>
				))}
			</chakra.ul>
		</Sheet>
	);
}

function AboutDish({ about }: { readonly about: CardData["about"] }) {
	if (about.length === 0) return null;
	return (
		<Sheet>
			<dl>
				{about.map(({ what, words }) => (
					<div key={what}>
						<chakra.dt color="muted" display="inline">
							{what}:
						</chakra.dt>{" "}
						<chakra.dd display="inline" margin="0">
							{words}
						</chakra.dd>
					</div>
				))}
			</dl>
		</Sheet>
	);
}

function Warnings({ warnings }: { readonly warnings: readonly { says: string; remedy: string }[] }) {
	if (warnings.length === 0) return null;
	return (
		<Note as="section" aria-label="Warnings">
			<ul>
				{warnings.map(({ says, remedy }) => (
					<li key={says}>
						<b>▲ {says}</b> {remedy}
					</li>
				))}
			</ul>
		</Note>
	);
}

interface CostSheetProps {
	readonly id: string;
	readonly kind: "dish" | "preparation";
	readonly cost: (CardData & { kind: "dish" })["dish"]["cost"];
}

function CostSheet({ kind, cost }: CostSheetProps) {
	return (
		<Sheet>
			<Heading marginBottom="6px">Cost</Heading>
			{cost.missing.length > 0 ? (
				<p>
					<b>No price for {cost.missing.join(", ")}.</b> <Muted>What has one comes to {cost.known}.</Muted>
				</p>
			) : (
				<chakra.p display="flex" flexWrap="wrap" gap="2px 18px">
					{kind === "dish" ? (
						<span>
							<Figure>{cost.perPortion}</Figure> <Muted>a portion</Muted>
						</span>
					) : null}
					{cost.perCookedKg ? (
						<span>
							<Figure>{cost.perCookedKg}</Figure> <Muted>a cooked kilo</Muted>
						</span>
					) : null}
					<span>
						<Figure>{cost.total}</Figure> <Muted>in all</Muted>
					</span>
					{cost.shareOfMenu ? (
						<span>
							<Figure>{cost.shareOfMenu}</Figure> <Muted>of the menu price</Muted>
						</span>
					) : null}
				</chakra.p>
			)}
		</Sheet>
	);
}

/** One recipe in the forms it goes out in. */
function Out({ id }: { readonly id: string }) {
	const files = [
		{ ending: "json", name: "Our own file, with all versions" },
		{ ending: "jsonld", name: "schema.org JSON-LD" },
		{ ending: "md", name: "Markdown card" },
	];
	return (
		<Sheet className="screenOnly">
			<Heading>Give it out</Heading>
			<ul>
				{files.map(({ ending, name }) => (
					<li key={ending}>
						<a href={`/book/export/${id}.${ending}`} download>
							{name}
						</a>
					</li>
				))}
			</ul>
		</Sheet>
	);
}

function SchoolSheet({ schools }: { readonly schools: readonly { question: string; answer: string }[] }) {
	if (schools.length === 0) return null;
	return (
		<Sheet>
			<Heading>Chosen between schools</Heading>
			<ul>
				{schools.map(({ question, answer }) => (
					<li key={question}>
						<Muted>{question}:</Muted> <b>{answer}</b>
					</li>
				))}
			</ul>
		</Sheet>
	);
}
