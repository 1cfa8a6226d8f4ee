import { chakra } from "@chakra-ui/react/styled-system";
import type { ReactNode } from "react";
import { data, Link } from "react-router";
import { lineWords } from "#core/pans";
import { handsOn } from "#core/plan";
import { ALLERGENS, LIDS } from "#core/recipe";
import { HOUSE_CODES } from "#core/safety";
import { durationWords } from "#core/schedule";
import { readKitchen, readSitting } from "#db";
import { cautionsOf } from "../ui/cautions.ts";
import { ActLink, Note, Page } from "../ui/parts.tsx";
import { PLACE_LABELS, pansWords, placesOf, setOf } from "../ui/places.ts";
import { plannedDishes } from "../ui/planned.ts";
import { counted } from "../ui/reading.ts";
import { foundOr404, visitOf } from "../ui/visit.ts";
import { warningWords } from "../ui/warningWords.ts";
import type { Route } from "./+types/sheet.route";
import { lineView } from "./lineView.ts";
import { PrintButton } from "./PrintButton.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Production sheet · ${loaderData.dish}` : "Production sheet" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading, house, preferences } = await visitOf(context);
	const sitting = await foundOr404(readSitting(store.db, params.sittingId), "sitting");
	const kitchen = await readKitchen(store.db);
	const row = (await plannedDishes(store.db, sitting, kitchen)).find(({ dish }) => dish.id === params.dishId);
	if (!row) throw data({ missing: "dish on this sitting" }, { status: 404 });
	const { dish, plan, refused } = row;
	const head = {
		to: `/sittings/${sitting.id}/dishes/${dish.id}`,
		paper: preferences.paper,
		house: house.name,
		dish: dish.recipe.name,
		number: dish.number,
		sitting: sitting.name,
		room: sitting.room,
		service: reading.clock(sitting.serviceAt),
		day: reading.day(sitting.serviceAt),
		printed: `${reading.day(reading.now)} ${reading.clock(reading.now)}`,
	};
	if (!plan) return { ...head, refused: refused ?? "", sheet: null };
	const code = HOUSE_CODES[house.houseCode];
	return {
		...head,
		refused: null,
		sheet: {
			figures: [
				{ label: "Covers", figure: String(sitting.covers) },
				{ label: "Portions", figure: String(plan.chain.portions) },
				{ label: "Buy", figure: reading.mass(plan.chain.order_kg ?? plan.chain.asPurchased_kg) },
				{
					label: "Trimmed",
					figure: `${reading.mass(plan.chain.trimmed_kg)}, ${counted(plan.pieces, "piece")}`,
				},
				{ label: "Pans", figure: pansWords(plan) },
				{ label: "Oven", figure: reading.temperature(setOf(dish.recipe, plan)) },
				{ label: "In", figure: reading.clock(plan.clock.in) },
				{
					label: "Tender",
					figure: `${reading.clock(plan.clock.tender.low)}–${reading.clockAfter(plan.clock.tender.high, plan.clock.tender.low)}`,
				},
			],
			clock: [
				...placesOf(dish.recipe, plan, reading).map((place) => ({
					at: place.at,
					time: reading.clock(place.at),
					task: place.task,
				})),
				{
					at: plan.clock.tender.low,
					time: reading.clock(plan.clock.tender.low),
					task: "Check first: probe the thickest piece",
				},
				{ at: plan.clock.serve, time: reading.clock(plan.clock.serve), task: "Service" },
			].sort((a, b) => a.at - b.at),
			pans: plan.pans.pans.map((pan, index) => ({
				number: index + 1,
				name: pan.type.name,
				pieces: pan.pieces,
				liquid: reading.volume(pan.liquid_l),
				dip: reading.length(pan.dip_mm),
				lifted: reading.mass(pan.lifted_kg),
			})),
			cover: `Cover with ${LIDS[dish.recipe.braise.lid]}; liquid ${lineWords(dish.recipe.braise.line)}`,
			ovens: plan.ovens.loads.map(
				(load) =>
					`${load.oven.name} at ${reading.temperature(load.set_C)}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}`,
			),
			sear: plan.sear
				? `${counted(plan.sear.loads, "load")} of ${plan.sear.perLoad} in ${kitchen.searPan?.name ?? "the pan"}, ${durationWords(plan.sear.minutes)} on ${counted(kitchen.burners, "burner")}`
				: null,
			lines: plan.lines.map((line) => lineView(line, reading)),
			steps: dish.recipe.steps.map((step) => ({
				place: PLACE_LABELS[step.place],
				text: step.text,
				station: step.station,
				minutes:
					step.handsOn_min + step.waiting_min > 0
						? durationWords(handsOn(step, plan.factor) / sitting.hands + step.waiting_min)
						: "",
				check: step.check ?? null,
				caution: step.caution ?? null,
			})),
			allergens: plan.allergens.map(({ allergen, from }) => `${ALLERGENS[allergen]} (${from.join(", ")})`),
			warnings: plan.warnings.map((warning) => Object.values(warningWords(warning, reading)).join(" ")),
			cautions: cautionsOf(dish.recipe, plan, code, kitchen.liftLimit_kg, reading),
			code: `“${code.name}” follows ${code.source}; for reference only.`,
		},
	};
}

const Paper = chakra("article", {
	base: {
		bg: "white",
		color: "black",
		maxWidth: "210mm",
		marginInline: "auto",
		padding: { base: "16px", md: "12mm" },
		fontSize: "16px",
		lineHeight: 1.3,
		_print: { maxWidth: "none", padding: 0, fontSize: "10.5pt" },
		"& table": { pageBreakInside: "auto" },
		"& tr, & li": { breakInside: "avoid" },
		"& thead": { display: "table-header-group" },
		"& th, & td": {
			borderBottom: "1px solid #888",
			padding: "3px 8px 3px 0",
			textAlign: "start",
			verticalAlign: "top",
		},
		"& th": { borderBottom: "2px solid black", fontWeight: 650 },
		"& .number": { textAlign: "end", whiteSpace: "nowrap" },
		"& h2": {
			fontFamily: "head",
			fontWeight: 700,
			fontSize: "1.2em",
			marginTop: "5mm",
			marginBottom: "1mm",
			breakAfter: "avoid",
		},
	},
});

export default function ProductionSheet({ loaderData }: Route.ComponentProps) {
	const { sheet, paper } = loaderData;
	return (
		<Page _print={{ padding: 0, maxWidth: "none" }}>
			<style>{`@page { size: ${paper}; margin: 12mm; }`}</style>
			<chakra.div
				className="screenOnly"
				display="flex"
				flexWrap="wrap"
				gap="10px"
				marginBottom="14px"
				alignItems="center"
			>
				<PrintButton />
				<ActLink to={loaderData.to}>Back to the long table</ActLink>
				<span>
					On {paper}; change it{" "}
					<Link to={`/preferences?back=${encodeURIComponent(`${loaderData.to}/sheet`)}`}>at this desk</Link>.
				</span>
			</chakra.div>
			<Paper>
				<Head view={loaderData} />
				{sheet ? <Body sheet={sheet} /> : <Note>There is no plan for this: {loaderData.refused}</Note>}
			</Paper>
		</Page>
	);
}

type Loaded = Route.ComponentProps["loaderData"];
type SheetView = NonNullable<Loaded["sheet"]>;

function Head({ view }: { readonly view: Loaded }) {
	return (
		<chakra.header
			borderBottom="3px solid black"
			paddingBottom="3mm"
			display="flex"
			justifyContent="space-between"
			gap="8mm"
			alignItems="flex-end"
		>
			<div>
				<chakra.h1 fontFamily="head" fontWeight="700" fontSize="1.75em" lineHeight="1.1">
					{view.dish}
				</chakra.h1>
				<p>
					{view.sitting}
					{view.room ? `, ${view.room}` : ""} · {view.day} · standard no. {view.number}
				</p>
				<p>
					{view.house}, production sheet, printed {view.printed}
				</p>
			</div>
			<chakra.p textAlign="end" whiteSpace="nowrap">
				service
				<chakra.b display="block" fontFamily="head" fontSize="2.1em" lineHeight="1">
					{view.service.split(" ").at(-1)}
				</chakra.b>
			</chakra.p>
		</chakra.header>
	);
}

function Body({ sheet }: { readonly sheet: SheetView }) {
	return (
		<>
			<chakra.dl
				display="grid"
				gridTemplateColumns={{ base: "repeat(2, minmax(0,1fr))", sm: "repeat(4, minmax(0,1fr))" }}
				_print={{ gridTemplateColumns: "repeat(4, 1fr)" }}
				gap="2mm 6mm"
				marginTop="3mm"
			>
				{sheet.figures.map(({ label, figure }) => (
					<div key={label}>
						<dt>{label}</dt>
						<chakra.dd fontFamily="head" fontWeight="700" fontSize="1.3em" lineHeight="1.15">
							{figure}
						</chakra.dd>
					</div>
				))}
			</chakra.dl>
			{sheet.warnings.length > 0 ? (
				<chakra.div border="2px solid black" padding="2mm 3mm" marginTop="4mm">
					{sheet.warnings.map((words) => (
						<p key={words}>
							<b>▲ {words}</b>
						</p>
					))}
				</chakra.div>
			) : null}
			<chakra.div
				display="grid"
				gap="0 8mm"
				gridTemplateColumns={{ base: "minmax(0,1fr)", md: "minmax(0,6fr) minmax(0,7fr)" }}
				_print={{ gridTemplateColumns: "6fr 7fr" }}
			>
				<div>
					<h2>Clock</h2>
					<table>
						<tbody>
							{sheet.clock.map(({ time, task }) => (
								<tr key={time + task}>
									<chakra.td whiteSpace="nowrap" fontWeight="700">
										{time}
									</chakra.td>
									<td>{task}</td>
									<td>☐</td>
								</tr>
							))}
						</tbody>
					</table>
				</div>
				<div>
					<h2>Pans</h2>
					<Grid heads={["No.", "Pan", "Pieces", "Pour", "Dip", "Carry"]}>
						{sheet.pans.map((pan) => (
							<tr key={pan.number}>
								<td>{pan.number}</td>
								<chakra.td whiteSpace="nowrap">{pan.name}</chakra.td>
								<td className="number">{pan.pieces}</td>
								<td className="number">{pan.liquid}</td>
								<td className="number">{pan.dip}</td>
								<td className="number">{pan.lifted}</td>
							</tr>
						))}
					</Grid>
					<p>{sheet.cover}.</p>
					{sheet.ovens.map((oven) => (
						<p key={oven}>{oven}.</p>
					))}
					{sheet.sear ? <p>Sear: {sheet.sear}.</p> : null}
				</div>
			</chakra.div>
			<h2>Weigh out</h2>
			<Grid heads={["What", "Amount", "Of main", "A portion"]}>
				{sheet.lines.map((line) => (
					<tr key={line.name + line.preparation}>
						<td>
							{line.name}
							{line.preparation ? `, ${line.preparation}` : ""}
						</td>
						<td className="number">
							<b>{line.amount}</b>
						</td>
						<td className="number">{line.percentOfMain}</td>
						<td className="number">{line.perPortion}</td>
					</tr>
				))}
			</Grid>
			<h2>Method</h2>
			<ol>
				{sheet.steps.map((step) => (
					<chakra.li key={step.text} marginBottom="2mm">
						<b>{step.place}</b> ({[step.station, step.minutes].filter(Boolean).join(", ")}). {step.text}
						{step.check ? ` Look for: ${step.check}` : ""} {step.caution ? <b>Mind: {step.caution}</b> : null}
					</chakra.li>
				))}
			</ol>
			<h2>Allergens</h2>
			<p>
				{sheet.allergens.length > 0
					? `${sheet.allergens.join("; ")}.`
					: "None of the fourteen in the lines of this card."}
			</p>
			<h2>Mind</h2>
			<ul>
				{sheet.cautions.map((text) => (
					<li key={text}>{text}</li>
				))}
				<li>{sheet.code}</li>
			</ul>
			<h2>Write down what really happened</h2>
			<chakra.ul
				display="grid"
				gridTemplateColumns="repeat(3, 1fr)"
				gap="7mm 6mm"
				paddingTop="4mm"
				breakInside="avoid"
			>
				{[
					"Weight in",
					"Trim",
					"Weight out",
					"In the oven at",
					"Tender at",
					"Liquid left",
					"Core at service",
					"Cook",
					"Next time",
				].map((label) => (
					<chakra.li key={label} borderTop="1px solid black">
						{label}
					</chakra.li>
				))}
			</chakra.ul>
		</>
	);
}

function Grid({ heads, children }: { readonly heads: readonly string[]; readonly children: ReactNode }) {
	return (
		<table>
			<thead>
				<tr>
					{heads.map((head) => (
						<th
							key={head}
							scope="col"
							className={head === "What" || head === "Pan" || head === "No." ? undefined : "number"}
						>
							{head}
						</th>
					))}
				</tr>
			</thead>
			<tbody>{children}</tbody>
		</table>
	);
}
