import { chakra } from "@chakra-ui/react/styled-system";
import { nanoid } from "nanoid";
import { data, Form, Link, redirect } from "react-router";
import { Refusal, refuse } from "#core/check";
import { declaredWords, onDeclaredList } from "#core/recipe";
import { keepsBy } from "#core/records";
import { DAY_MS, onDay, wallClock } from "#core/time";
import { readSittings, withRecipes, writeRecord } from "#db";
import { MomentField } from "../ui/forms/DayField.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { type Typed, typedIn, type Wrong } from "../ui/forms/form.ts";
import { Tick } from "../ui/forms/Tick.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { type HouseVisit, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/newLot.route";
import { clientIdOf } from "./clientIdOf.ts";
import { NamedAllergens, PanRows, SourceTicks } from "./LotFields.tsx";
import { inForce } from "./lotActions.ts";
import { sourcesTyped } from "./lotSources.ts";
import { declaresTyped, pansShown, pansTyped, portionsTyped, UNITS_TYPED, wordsTyped } from "./lotTyped.ts";
import { momentTyped } from "./moment.ts";
import { entriesOfLot, type NewLot as LotPlanned, unplannedLotPage } from "./newLotPage.ts";

export const meta: Route.MetaFunction = () => [{ title: "New lot · Records" }];

export async function loader({ context, request }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const search = new URL(request.url).searchParams;
	const asked = askedIn(search.get("sitting"), search.get("dish"), search.has("unplanned"));
	if (asked === null)
		return { choices: await choices(visit), planned: null, clientId: "", units: UNITS_TYPED.metric };
	const planned = asked.sittingId
		? await heavily(context, "newLot", asked, request)
		: await unplannedLotPage(visit);
	const rows = pansShown(planned.pans, visit.reading.units, planned.letter);
	return {
		choices: [],
		planned: { ...planned, rows },
		clientId: nanoid(),
		units: UNITS_TYPED[visit.reading.units],
	};
}

/** Which dish of which sitting, none where nobody planned it; null where nothing is asked for yet. */
function askedIn(sittingId: string | null, dishId: string | null, isUnplanned: boolean) {
	if (sittingId && dishId) return { sittingId, dishId };
	return isUnplanned ? { sittingId: "", dishId: "" } : null;
}

/** Dishes of sittings near today: what may have been made. */
async function choices({ store, reading }: HouseVisit) {
	// A day is a day to its end: a supper on the tenth is within ten days all morning.
	const until = onDay(reading.now, reading.timeZone, 0, 11);
	const sittings = await readSittings(store.db, reading.now - 3 * DAY_MS, until);
	const dishes = await withRecipes(
		store.db,
		sittings.flatMap((sitting) => sitting.dishes),
	);
	const names = new Map(dishes.map(({ id, recipe }) => [id, recipe.name]));
	return sittings.flatMap((sitting) =>
		sitting.dishes.map(({ id }) => ({
			to: `?sitting=${sitting.id}&dish=${id}`,
			name: names.get(id) ?? "",
			about: `${sitting.name}, ${reading.day(sitting.serviceAt)}`,
		})),
	);
}

export async function action({ context, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	const typed = typedIn(form);
	const asked = { sittingId: typed.sitting ?? "", dishId: typed.dish ?? "" };
	const planned: LotPlanned = asked.sittingId
		? await heavily(context, "newLot", asked, request)
		: await unplannedLotPage(visit);
	return doneOrSaid(typed, visit.reading, async () => {
		const { house, store, who, reading } = visit;
		if (planned.refused !== null) throw data({ said: planned.refused }, { status: 400 });
		const at = momentTyped(typed, house.timeZone, Date.now());
		const into = intoTyped(typed, house.timeZone, at);
		const own = asked.sittingId ? planned : { ...planned, ...unplannedTyped(typed, visit) };
		const made = {
			...{ at, into, place: (typed.place ?? "").trim(), isCooled: typed.cooled === "on" },
			// A form without rows means the pans that were planned.
			pans: typed["pan.0.tag"] === undefined ? planned.pans : pansTyped(typed, reading.units),
			portions: typed.portions === undefined ? planned.portions : portionsTyped(typed.portions),
			sources: await sourcesTyped(store.db, form, planned.sources, { house, reading, at }),
			madeOn: wallClock(at, house.timeZone).date,
			keeps: keepsBy(house, planned.code.life),
			code: inForce(planned.code),
		};
		const written = await writeRecord(store, who, clientIdOf(typed), (next) =>
			entriesOfLot(own, { ...made, lot: next.lot, watch: next.watch }),
		);
		const [first] = written;
		return redirect(`/records/lots/${first?.doc.kind === "lot" ? first.doc.lot : ""}`);
	});
}

/** What nobody planned, as somebody who made it writes it down. */
function unplannedTyped(typed: Typed, { house, who }: HouseVisit): Pick<LotPlanned, "dish" | "inside"> {
	const declares = declaresTyped(typed, who, null);
	const allergens = declares ? declaredWords(onDeclaredList(declares, house.allergenList)) : "";
	return {
		dish: wordsTyped(typed, "name", 120),
		inside: { contents: wordsTyped(typed, "contents", 20_000, 0), allergens, declares, ingredients: [] },
	};
}

/** When it went into the cold: as it was lifted, where nothing was typed. @throws {Refusal} naming its own field */
function intoTyped({ into = "" }: Typed, timeZone: string, lifted: number): number {
	if (into.trim() === "") return lifted;
	try {
		return momentTyped({ time: into }, timeZone, Date.now(), lifted);
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		throw refuse("into", error.problems[0]?.message ?? "is no time");
	}
}

const Choices = chakra("li", {
	base: {
		borderTop: "1px solid",
		borderColor: "hair",
		paddingBlock: "10px",
		display: "flex",
		flexWrap: "wrap",
		gap: "2px 16px",
	},
});

/** What was lifted becomes a lot: its pans, what it was made from, and from when it cools. */
export default function NewLot({ loaderData, actionData }: Route.ComponentProps) {
	const { planned, choices: dishes, clientId, units } = loaderData;
	const typed = actionData?.typed ?? {};
	const wrong = actionData?.wrong ?? {};
	if (!planned) return <WhichDish dishes={dishes} />;
	const isPlanned = planned.sittingId !== "";
	return (
		<Page>
			<PageHead
				title={isPlanned ? planned.dish : "A lot that nobody planned"}
				says={isPlanned ? `A lot of ${planned.sitting}` : "Until its allergens are named, nobody uses it"}
			>
				<ActLink to="/records/lots/new" kind="quiet">
					Another dish
				</ActLink>
			</PageHead>
			{planned.refused === null ? null : (
				<Note role="alert" marginTop="12px">
					There is no plan for this, so it can not be made a lot: {planned.refused}
				</Note>
			)}
			<Sheet marginTop="12px" maxWidth="860px">
				<Form method="post">
					<input type="hidden" name="clientId" value={clientId} />
					<input type="hidden" name="sitting" value={planned.sittingId} />
					<input type="hidden" name="dish" value={planned.dishId} />
					<chakra.div display="grid" gap="12px 14px" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}>
						{isPlanned ? null : <WhatItIs typed={typed} wrong={wrong} />}
						<Field
							label="Portions"
							name="portions"
							inputMode="numeric"
							defaultValue={typed.portions ?? (isPlanned ? String(planned.portions) : "")}
							wrong={wrong.portions}
						/>
						<MomentField label="Lifted (empty: just now)" typed={typed} wrong={wrong} />
						<Field
							label="Into the cold at (empty: as it was lifted)"
							name="into"
							autoComplete="off"
							defaultValue={typed.into}
							wrong={wrong.into}
						/>
						<Field
							label="Where it goes to"
							name="place"
							maxLength={80}
							defaultValue={typed.place ?? planned.place}
							wrong={wrong.place}
						/>
						<Tick name="cooled" defaultChecked alignSelf="end">
							It is cooled from now, and watched
						</Tick>
					</chakra.div>
					<PanRows rows={planned.rows} typed={typed} wrong={wrong} units={units} />
					<SourceTicks {...planned.sources} typed={typed} wrong={wrong} />
					{isPlanned ? null : <NamedAllergens typed={typed} />}
					<chakra.div display="flex" gap="12px" marginTop="16px">
						<Act kind="next" aria-keyshortcuts="a" disabled={planned.refused !== null}>
							Make it a lot <Key aria-hidden>a</Key>
						</Act>
						<ActLink to="/records" kind="quiet">
							Leave it
						</ActLink>
					</chakra.div>
				</Form>
			</Sheet>
		</Page>
	);
}

function WhatItIs({ typed, wrong }: { readonly typed: Typed; readonly wrong: Wrong }) {
	return (
		<>
			<Field
				label="What it is"
				name="name"
				aria-required
				maxLength={120}
				defaultValue={typed.name}
				wrong={wrong.name}
			/>
			<Field label="What is in it" name="contents" defaultValue={typed.contents} wrong={wrong.contents} />
		</>
	);
}

interface WhichDishProps {
	readonly dishes: readonly { readonly to: string; readonly name: string; readonly about: string }[];
}

function WhichDish({ dishes }: WhichDishProps) {
	return (
		<Page>
			<PageHead title="New lot" says="Which dish was made?">
				<ActLink to="?unplanned=1">None of these</ActLink>
				<ActLink to="/records" kind="quiet">
					Leave it
				</ActLink>
			</PageHead>
			<Sheet marginTop="12px">
				<ul>
					{dishes.map(({ to, name, about }) => (
						<Choices key={to}>
							<chakra.span flex="1 1 260px">
								<Link to={to}>{name}</Link>
							</chakra.span>
							<Muted>{about}</Muted>
						</Choices>
					))}
				</ul>
				{dishes.length === 0 ? <p>No sitting within ten days has a dish.</p> : null}
			</Sheet>
		</Page>
	);
}
