import { chakra } from "@chakra-ui/react/styled-system";
import { data } from "react-router";
import { isPreparation } from "#core/recipe";
import { readKitchen, readRecipe } from "#db";
import { Paper, PaperHead, PrintPage } from "../ui/parts/Paper.tsx";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { ALONE } from "../ui/words/alone.ts";
import { counted } from "../ui/words/reading.ts";
import { stateWords } from "../ui/words/stateWords.ts";
import type { Route } from "./+types/lesson.route";
import { AS_WRITTEN, cardOrWhy, planCard } from "./dishCard.ts";
import { lessonView } from "./lesson.view.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name}, a lesson` : "A lesson" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading, house, preferences } = await visitOf(context);
	const { doc, recipeId, number, state } = await foundOr404(readRecipe(store.db, params.recipeId), "recipe");
	if (isPreparation(doc))
		throw data({ missing: "lesson: a preparation is taught with its dish" }, { status: 404 });
	const kitchen = await readKitchen(store.db);
	const costing = { kitchen, reading, currency: house.currency, menuPrice_minor: null };
	const { made: plan } = cardOrWhy(doc, AS_WRITTEN, (size) => planCard(doc, size, costing));
	const { policy } = kitchen;
	return {
		id: recipeId,
		here: new URL(request.url).pathname,
		name: doc.name,
		about: `${counted(plan.chain.portions, "portion")} · ${stateWords(state)} no. ${number} · ${house.name}, printed ${reading.day(reading.now)}, planned ${ALONE}`,
		summary: doc.summary,
		origin: doc.origin ?? null,
		paper: preferences.paper,
		...lessonView(plan, policy.code, policy.liftLimit_kg, reading),
	};
}

/** The card as a lesson, for a class or a new cook. */
export default function Lesson({ loaderData: lesson }: Route.ComponentProps) {
	return (
		<PrintPage
			paper={lesson.paper}
			back={{ to: `/book/${lesson.id}`, words: "Back to the card" }}
			here={lesson.here}
		>
			<Paper fontSize={{ base: "16px", sm: "17px" }} _print={{ fontSize: "11.5pt" }}>
				<PaperHead title={`${lesson.name}: a lesson`} lines={[lesson.summary, lesson.about]} />
				{lesson.origin ? <chakra.p marginTop="3mm">{lesson.origin}</chakra.p> : null}
				{lesson.places.map(({ name, why, steps, mistakes }) => (
					<section key={name}>
						<h2>{name}</h2>
						{why ? (
							<p>
								<b>Why:</b> {why}
							</p>
						) : null}
						<ol>
							{steps.map((step) => (
								<chakra.li key={step.text} marginTop="1.5mm">
									{step.text}
									{step.check ? (
										<chakra.span display="block">
											<b>Feel for:</b> {step.check}
										</chakra.span>
									) : null}
									{step.caution ? (
										<chakra.span display="block">
											<b>Mind:</b> {step.caution}
										</chakra.span>
									) : null}
								</chakra.li>
							))}
						</ol>
						{mistakes.map((words) => (
							<chakra.p
								key={words}
								marginTop="1.5mm"
								borderInlineStart="3px solid black"
								paddingInlineStart="3mm"
							>
								<b>Goes wrong:</b> {words}
							</chakra.p>
						))}
					</section>
				))}
				<h2>Mind</h2>
				<ul>
					{lesson.cautions.map((words) => (
						<li key={words}>{words}</li>
					))}
				</ul>
			</Paper>
		</PrintPage>
	);
}
