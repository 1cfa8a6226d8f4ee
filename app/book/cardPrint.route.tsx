import { chakra } from "@chakra-ui/react/styled-system";
import { isPreparation, type Preparation, type Recipe } from "#core/recipe";
import { readKitchen, readRecipe, readRecipeRow } from "#db";
import { LineTable } from "../ui/parts/LineTable.tsx";
import { Paper, PaperHead, PaperMethod, PrintPage } from "../ui/parts/Paper.tsx";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { allergenLines } from "../ui/words/allergenView.ts";
import { ALONE } from "../ui/words/alone.ts";
import { stateWords } from "../ui/words/stateWords.ts";
import type { Route } from "./+types/cardPrint.route";
import { type CardSize, hasSize, readSize } from "./cardSize.ts";
import { AS_WRITTEN, type CardHouse, cardOrWhy, dishCard } from "./dishCard.ts";
import { preparationCard } from "./preparationCard.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Card · ${loaderData.name}` : "Card" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading, house, preferences } = await visitOf(context);
	const version = await foundOr404(readRecipe(store.db, params.recipeId), "recipe");
	const [kitchen, row] = await Promise.all([readKitchen(store.db), readRecipeRow(store.db, params.recipeId)]);
	const url = new URL(request.url);
	const read = hasSize(url.searchParams) ? readSize(url.searchParams, reading.units) : null;
	const size: CardSize = read && "value" in read ? read.value : AS_WRITTEN;
	const costing = { kitchen, reading, currency: house.currency, menuPrice_minor: row.menuPrice_minor };
	const { groups, steps, allergens, heading, facts } = paperOf(version.doc, size, costing);
	return {
		id: version.recipeId,
		here: url.pathname + url.search,
		name: version.doc.name,
		heading,
		facts,
		groups,
		steps,
		allergens: allergenLines(allergens),
		about: `${stateWords(version.state)} no. ${version.number} · ${house.name}, printed ${reading.day(reading.now)}${isPreparation(version.doc) ? "" : `, planned ${ALONE}`}`,
		paper: preferences.paper,
	};
}

function paperOf(doc: Recipe | Preparation, size: CardSize, house: CardHouse) {
	if (isPreparation(doc)) {
		const card = preparationCard(doc, size.basis === "factor" ? size.factor : 1, house);
		return { ...card, heading: `Makes ${card.makes}`, facts: [] };
	}
	return cardOrWhy(doc, size, (tried) => dishCard(doc, tried, house)).made;
}

/** The card on paper, large enough to be read on the wall. */
export default function CardPrint({ loaderData: card }: Route.ComponentProps) {
	return (
		<PrintPage
			paper={card.paper}
			back={{ to: `/book/${card.id}`, words: "Back to the card" }}
			here={card.here}
		>
			<Paper fontSize={{ base: "16px", sm: "18px" }} _print={{ fontSize: "12.5pt" }}>
				<PaperHead title={card.name} lines={[card.heading, card.about]} />
				<chakra.p marginTop="3mm">
					{card.facts.map(({ figure, label }, index) => (
						<span key={label}>
							{index > 0 ? " · " : ""}
							<b>{figure}</b> {label}
						</span>
					))}
				</chakra.p>
				<LineTable groups={card.groups} onPaper />
				<PaperMethod steps={card.steps} />
				<h2>Allergens</h2>
				<p>{card.allergens.join("; ")}.</p>
			</Paper>
		</PrintPage>
	);
}
