import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import {
	COOKER_HEATS,
	KINDS_OF_WORK,
	ovenOutsideLimits,
	PAN_USES,
	type PanUse,
	panOutsideLimits,
	USUAL_AIR_C,
	workOf,
} from "#core/kitchen";
import { OVEN_KINDS } from "#core/ovens";
import { depthOf, emptyPanWeight, panWords, shapeOfSizes, volumeBelow } from "#core/pans";
import { HOUSE_CODE_KEYS, HOUSE_CODES, type HouseCode } from "#core/safety";
import type { WorkingHours } from "#core/time";
import {
	codeIn,
	type OvenRow,
	readCooks,
	readHouseCodes,
	readOvens,
	readOwnCodes,
	readPanTypes,
	readStandingPlaces,
} from "#db";
import { CavityFrame, type CavityShape } from "../ui/drawings/CavityFrame.tsx";
import { shelfWidth } from "../ui/drawings/ovenPans.ts";
import { PanOutline } from "../ui/drawings/PanOutline.tsx";
import { panDrawing } from "../ui/drawings/panDrawing.ts";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { ActLink, Figure, Heading, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { codeWords } from "../ui/words/cautions.ts";
import { minuteClock, type Reading } from "../ui/words/reading.ts";
import type { Route } from "./+types/kitchen.route";
import { PLACE_KIND_WORDS } from "./placeWords.ts";

export const meta: Route.MetaFunction = () => [{ title: "Kitchen · Wide Table" }];

export async function loader({ context }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const [pans, ovens, cooks, places] = await Promise.all([
		readPanTypes(store.db),
		readOvens(store.db),
		readCooks(store.db),
		readStandingPlaces(store.db),
	]);
	const [codes, ownCodes] = await Promise.all([readHouseCodes(store.db), readOwnCodes(store.db)]);
	const code = codeIn(codes, house.houseCode);
	const views = pans.map((pan) => {
		const shape = shapeOfSizes(pan);
		const broken = panOutsideLimits(pan);
		return {
			id: pan.id,
			name: pan.name,
			use: pan.use,
			broken,
			stock: pan.stock,
			shape: panWords(shape),
			drawn: broken === null ? panDrawing(shape, reading) : null,
			brim: reading.volume(volumeBelow(shape, depthOf(shape))),
			empty: reading.mass(emptyPanWeight(shape)),
			isSearPan: pan.id === house.searPanId,
			heat_kW: pan.heat_w === null ? null : pan.heat_w / 1000,
		};
	});
	return {
		braising: views.filter((pan) => pan.use === "braise"),
		searing: views.filter((pan) => pan.use === "sear"),
		pots: views.filter((pan) => pan.use === "pot"),
		trays: views.filter((pan) => pan.use === "tray"),
		cookers: views
			.filter((pan) => isCooker(pan.use))
			.map((pan) => ({ ...pan, shape: `${PAN_USES[pan.use]}, ${pan.shape}` })),
		ovens: ovens.map((oven) => ({
			id: oven.id,
			name: oven.name,
			kind: OVEN_KINDS[oven.kind],
			broken: ovenOutsideLimits(oven),
			rungs: oven.rungs,
			drawn: ovenOutsideLimits(oven) === null ? emptyOven(oven) : null,
			shelf: `GN ${oven.shelf}, ${reading.length(oven.pitch_mm)} apart`,
			range: `${reading.temperature(oven.min_C)} to ${reading.temperature(oven.max_C)}`,
		})),
		cooks: cooks.map(({ id, name, opens_min, closes_min, does }) => ({
			id,
			name,
			hours: hoursWords({ opens_min, closes_min }, reading),
			work: KINDS_OF_WORK[workOf(does)].words,
		})),
		places: places.map(({ id, name, kind, capacity, air_C }) => ({
			id,
			name,
			kind:
				kind === "warmer" || kind === "box"
					? PLACE_KIND_WORDS[kind].counted
					: `${PLACE_KIND_WORDS[kind].counted}, air of ${reading.temperature(air_C ?? USUAL_AIR_C[kind])}`,
			capacity: `${capacity.toLocaleString("en-GB")} ${PLACE_KIND_WORDS[kind].unit}`,
		})),
		codes: [
			...ownCodes.map((own) => ({
				to: `/kitchen/codes/${own.id}`,
				name: own.name,
				figure: own.id === house.houseCode ? "in use" : "our own",
				rest: codeTold(own, reading),
			})),
			...HOUSE_CODE_KEYS.map((key) => ({
				to: `/kitchen/codes/new?copy=${key}`,
				name: HOUSE_CODES[key].name,
				figure: key === house.houseCode ? "in use" : "copy it",
				rest: codeTold(HOUSE_CODES[key], reading),
			})),
		],
		house: {
			name: house.name,
			hours: hoursWords(house, reading),
			headspace: reading.length(house.headspace_mm),
			lift: reading.mass(house.liftLimit_g / 1000),
			code: code.name,
			limits: codeWords(code, reading),
			burners: `${house.burners}, ${house.hobPower_w / 1000} kW each into the pot`,
			timeZone: house.timeZone,
		},
	};
}

/** A code with all its limits, and where they come from. */
function codeTold(code: HouseCode, reading: Reading): string {
	return `${codeWords(code, reading)}. From ${code.source}, ${code.dated}.`;
}

/** An oven as it stands, cold; what breaks a limit is not drawn. */
function emptyOven({ rungs, pitch_mm, shelf }: OvenRow): CavityShape {
	return { rungs, pitch_mm, width_mm: shelfWidth(shelf), set_C: null };
}

function isCooker(use: PanUse): boolean {
	return (COOKER_HEATS as readonly string[]).includes(use);
}

function hoursWords({ opens_min, closes_min }: WorkingHours, { clockHours }: Reading): string {
	return `${minuteClock(opens_min, clockHours)} to ${minuteClock(closes_min % 1440, clockHours)}${closes_min > 1440 ? " the day after" : ""}`;
}

export default function Kitchen({
	loaderData: { braising, searing, pots, trays, cookers, ovens, cooks, places, codes, house },
}: Route.ComponentProps) {
	return (
		<Page>
			<Title>Kitchen</Title>
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="16px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 7fr) minmax(0, 5fr)" }}
			>
				<Sheet>
					<Top title="Pans" to="/kitchen/pans/new" action="Add a pan" short="n" />
					<Pans pans={braising} />
					<chakra.h3 fontFamily="head" fontWeight="650" fontSize="18px" marginTop="18px">
						For searing
					</chakra.h3>
					<Pans pans={searing} />
					<chakra.h3 fontFamily="head" fontWeight="650" fontSize="18px" marginTop="18px">
						For sauces, stocks and stews on the hob
					</chakra.h3>
					<Pans pans={pots} />
					{cookers.length === 0 ? null : (
						<>
							<chakra.h3 fontFamily="head" fontWeight="650" fontSize="18px" marginTop="18px">
								Cookers and baths
							</chakra.h3>
							<Pans pans={cookers} />
						</>
					)}
					<chakra.h3 fontFamily="head" fontWeight="650" fontSize="18px" marginTop="18px">
						For colouring in the oven
					</chakra.h3>
					<Pans pans={trays} />
					<chakra.p marginTop="14px">
						A pan with no name in any list:{" "}
						<Link to="/kitchen/pans/measure">measure it with a rule and a jug</Link>.
					</chakra.p>
				</Sheet>
				<chakra.div display="grid" gap="10px">
					<Sheet>
						<Top title="Ovens" to="/kitchen/ovens/new" action="Add an oven" short="v" />
						{ovens.length === 0 ? <p>No oven yet. Without one a plan cannot say where the pans go.</p> : null}
						<ul>
							{ovens.map((oven) => (
								<chakra.li
									key={oven.id}
									borderTop="1px solid"
									borderColor="hair"
									paddingBlock="10px"
									display="grid"
									gridTemplateColumns="150px minmax(0,1fr)"
									gap="4px 16px"
									alignItems="end"
								>
									{oven.drawn ? (
										<CavityFrame
											oven={oven.drawn}
											words={`${oven.name}: ${oven.rungs} rungs, ${oven.shelf}`}
											pxPerMm={OVENS_HERE}
										/>
									) : (
										<span />
									)}
									<div>
										<Link to={`/kitchen/ovens/${oven.id}`}>
											<b>{oven.name}</b>
										</Link>
										, {oven.kind}
										<chakra.p>
											<Figure fontSize="19px">{oven.rungs} rungs</Figure>{" "}
											<Muted>
												{oven.shelf} · {oven.range}
											</Muted>
										</chakra.p>
										<Broken why={oven.broken} />
									</div>
								</chakra.li>
							))}
						</ul>
					</Sheet>
					<Sheet>
						<Top title="People" to="/kitchen/people/new" action="Add somebody" short="w" />
						{cooks.length === 0 ? (
							<p>
								Nobody is named. The day reckons with as many as a sitting asks for, in the house's hours.
							</p>
						) : null}
						<Things
							things={cooks.map(({ id, name, hours, work }) => ({
								to: `/kitchen/people/${id}`,
								name,
								figure: hours,
								rest: work,
							}))}
						/>
					</Sheet>
					<Sheet>
						<Top title="Cold and warm" to="/kitchen/places/new" action="Add a place" short="c" />
						{places.length === 0 ? <p>No chiller, fridge, warmer or box is counted yet.</p> : null}
						<Things
							things={places.map(({ id, name, capacity, kind }) => ({
								to: `/kitchen/places/${id}`,
								name,
								figure: capacity,
								rest: kind,
							}))}
						/>
					</Sheet>
					<Sheet>
						<Top title="House codes" to="/kitchen/codes/new" action="Write our own" short="j" />
						<p>Limits to work to. Reference only; the local authority and the licensed operator decide.</p>
						<Things things={codes} />
					</Sheet>
					<Sheet>
						<Top title="The house" to="/kitchen/house" action="Change" short="h" />
						<chakra.dl
							display="grid"
							gridTemplateColumns="minmax(0, 130px) minmax(0, 1fr)"
							gap="6px 14px"
							marginTop="6px"
						>
							<Row label="Name">{house.name}</Row>
							<Row label="Open">
								{house.hours}, {house.timeZone}
							</Row>
							<Row label="Headspace">{house.headspace} at the least</Row>
							<Row label="One carries">{house.lift} at the most</Row>
							<Row label="Burners">{house.burners}</Row>
							<Row label="House code">
								<b>{house.code}</b>: {house.limits}. Reference only; the local authority and the licensed
								operator decide.
							</Row>
						</chakra.dl>
					</Sheet>
				</chakra.div>
			</chakra.div>
		</Page>
	);
}

interface Thing {
	readonly to: string;
	readonly name: string;
	readonly figure: string;
	readonly rest: string;
}

function Things({ things }: { readonly things: readonly Thing[] }) {
	return (
		<ul>
			{things.map(({ to, name, figure, rest }) => (
				<chakra.li key={to} borderTop="1px solid" borderColor="hair" paddingBlock="8px">
					<Link to={to}>
						<b>{name}</b>
					</Link>
					, {rest} <Figure fontSize="19px">{figure}</Figure>
				</chakra.li>
			))}
		</ul>
	);
}

function Top({
	title,
	to,
	action,
	short,
}: {
	readonly title: string;
	readonly to: string;
	readonly action: string;
	readonly short: string;
}) {
	return (
		<chakra.div
			display="flex"
			alignItems="center"
			justifyContent="space-between"
			gap="10px"
			marginBottom="6px"
		>
			<Heading>{title}</Heading>
			<ActLink to={to} aria-keyshortcuts={short}>
				{action} <Key aria-hidden>{short}</Key>
			</ActLink>
		</chakra.div>
	);
}

function Row({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
	return (
		<>
			<chakra.dt color="muted">{label}</chakra.dt>
			<dd>{children}</dd>
		</>
	);
}

/** What is kept and breaks a limit: it stands in its list, and no plan reckons with it. */
function Broken({ why }: { readonly why: string | null }) {
	if (why === null) return null;
	return (
		<Note marginTop="4px">▲ It breaks a limit and is left out of every plan until it is mended. {why}</Note>
	);
}

type PanRow = Route.ComponentProps["loaderData"]["braising"][number];

/** Pans and ovens of the lists, each in one scale, px a mm. */
const PANS_HERE = 0.11;
const OVENS_HERE = 0.18;

const PAN_COLUMNS: readonly Column<PanRow>[] = [
	{
		words: "To scale",
		hideBelow: "sm",
		width: "84px",
		cell: ({ drawn }) => (drawn ? <PanOutline pan={drawn} pxPerMm={PANS_HERE} /> : null),
	},
	{
		words: "Pan",
		cell: (pan) => (
			<>
				<Link to={`/kitchen/pans/${pan.id}`}>
					<b>{pan.name}</b>
				</Link>{" "}
				<Muted>
					{pan.shape}
					{pan.isSearPan ? ", the searing pan" : ""}
					{pan.heat_kW === null ? "" : `, heats itself with ${pan.heat_kW} kW`}
				</Muted>
				<Broken why={pan.broken} />
			</>
		),
	},
	{ words: "Stock", number: true, cell: ({ stock }) => <Figure fontSize="19px">{stock}</Figure> },
	{ words: "To the brim", number: true, cell: ({ brim }) => brim },
	{ words: "Empty", number: true, hideBelow: "sm", cell: ({ empty }) => empty },
];

function Pans({ pans }: { readonly pans: readonly PanRow[] }) {
	if (pans.length === 0) return <p>None yet. Add the pans on your shelf with how many there are.</p>;
	return <ColumnTable columns={PAN_COLUMNS} rows={pans} keyOf={({ id }) => id} />;
}
