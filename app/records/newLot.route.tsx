import { chakra } from "@chakra-ui/react/styled-system";
import { nanoid } from "nanoid";
import { data, Form, Link, redirect } from "react-router";
import { Refusal, refuse } from "#core/check";
import { keepsBy } from "#core/records";
import { DAY_MS, onDay, wallClock } from "#core/time";
import { readSittings, withRecipes, writeRecord } from "#db";
import { MomentField } from "../ui/forms/DayField.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { type Typed, typedIn } from "../ui/forms/form.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { type HouseVisit, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/newLot.route";
import { clientIdOf } from "./clientIdOf.ts";
import { inForce } from "./lotActions.ts";
import { momentTyped } from "./moment.ts";
import { entriesOfLot } from "./newLotPage.ts";

export const meta: Route.MetaFunction = () => [{ title: "New lot · Records" }];

export async function loader({ context, request }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const search = new URL(request.url).searchParams;
	const [sittingId, dishId] = [search.get("sitting"), search.get("dish")];
	if (sittingId === null || dishId === null)
		return { choices: await choices(visit), planned: null, clientId: "" };
	const planned = await heavily(context, "newLot", { sittingId, dishId }, request);
	return { choices: [], planned, clientId: nanoid() };
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
	const { house, store, who } = visit;
	const planned = await heavily(
		context,
		"newLot",
		{ sittingId: typed.sitting ?? "", dishId: typed.dish ?? "" },
		request,
	);
	return doneOrSaid(typed, visit.reading, async () => {
		if (planned.refused !== null) throw data({ said: planned.refused }, { status: 400 });
		const at = momentTyped(typed, house.timeZone, Date.now());
		const into = intoTyped(typed, house.timeZone, at);
		const known = new Set(planned.deliveries.map(({ delivery }) => String(delivery)));
		const from = form
			.getAll("from")
			.map(String)
			.filter((one) => known.has(one))
			.map(Number);
		const written = await writeRecord(store, who, clientIdOf(typed), (next) =>
			entriesOfLot(planned, {
				...{ lot: next.lot, watch: next.watch, at, into, from },
				place: (typed.place ?? "").trim(),
				isCooled: typed.cooled === "on",
				madeOn: wallClock(at, house.timeZone).date,
				keeps: keepsBy(house, planned.code.life),
				code: inForce(planned.code),
			}),
		);
		const [made] = written;
		return redirect(`/records/lots/${made?.doc.kind === "lot" ? made.doc.lot : ""}`);
	});
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
	const { planned, choices: dishes, clientId } = loaderData;
	const typed = actionData?.typed ?? {};
	const wrong = actionData?.wrong ?? {};
	if (!planned) {
		return (
			<Page>
				<PageHead title="New lot" says="Which dish was made?">
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
	return (
		<Page>
			<PageHead title={planned.dish} says={`A lot of ${planned.sitting}`}>
				<ActLink to="/records/lots/new" kind="quiet">
					Another dish
				</ActLink>
			</PageHead>
			{planned.refused === null ? null : (
				<Note role="alert" marginTop="12px">
					There is no plan for this, so it can not be made a lot: {planned.refused}
				</Note>
			)}
			<Sheet marginTop="12px" maxWidth="760px">
				<Form method="post">
					<input type="hidden" name="clientId" value={clientId} />
					<input type="hidden" name="sitting" value={planned.sittingId} />
					<input type="hidden" name="dish" value={planned.dishId} />
					<Heading>
						{planned.pans.length === 1 ? "1 pan" : `${planned.pans.length} pans`}, {planned.portions} portions
					</Heading>
					<chakra.p color="muted" marginBottom="10px">
						{planned.pans.map(({ tag, vessel }) => `${tag} ${vessel}`).join(", ")}
					</chakra.p>
					<chakra.div display="grid" gap="12px 14px" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}>
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
						<chakra.label display="flex" gap="10px" alignItems="center" minHeight="44px" alignSelf="end">
							<chakra.input type="checkbox" name="cooled" defaultChecked width="22px" height="22px" />
							It is cooled from now, and watched
						</chakra.label>
					</chakra.div>
					<chakra.fieldset marginTop="14px">
						<chakra.legend fontFamily="head" fontWeight="700" fontSize="19px">
							Made from these deliveries
						</chakra.legend>
						{planned.deliveries.length === 0 ? (
							<p>
								None was written down in three weeks.{" "}
								<Link to="/records/deliveries/new">Write one down first</Link>, or leave it.
							</p>
						) : null}
						{planned.deliveries.map(({ delivery, words, isUsed }) => (
							<chakra.label key={delivery} display="flex" gap="10px" alignItems="center" minHeight="44px">
								<chakra.input
									type="checkbox"
									name="from"
									value={delivery}
									defaultChecked={isUsed}
									width="22px"
									height="22px"
								/>
								{words}
							</chakra.label>
						))}
					</chakra.fieldset>
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
