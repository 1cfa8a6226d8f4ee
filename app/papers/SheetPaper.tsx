import { chakra } from "@chakra-ui/react/styled-system";
import { JourneyCurve } from "../ui/drawings/JourneyCurve.tsx";
import { PanCut } from "../ui/drawings/PanCut.tsx";
import { ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { BatchTable } from "../ui/parts/LineTable.tsx";
import { GuestNotes, LONG_LIST, Paper, PaperHead, PaperMethod, SinceNumber } from "../ui/parts/Paper.tsx";
import { Note } from "../ui/parts/parts.tsx";
import { type Shown, shownAs } from "../ui/parts/shown.ts";
import type { SheetView } from "./sheet.view.ts";

/** The production sheet as it lies on the paper. */
export function SheetPaper({ view }: { readonly view: SheetOnPaper }) {
	return (
		<Paper>
			<Head view={view} />
			<SinceNumber words={view.since} />
			<GuestNotes note={view.note} guests={view.guests} />
			{view.sheet ? <SheetBody sheet={view.sheet} /> : <Note>There is no plan for this: {view.refused}</Note>}
		</Paper>
	);
}

type SheetOnPaper = SheetView & {
	/** What is another than in the number of its day. */
	readonly since: string;
};
type Body = NonNullable<SheetView["sheet"]>;

interface SheetFigure {
	readonly label: string;
	readonly figure: string;
	readonly shown?: Shown | null;
}

function Head({ view }: { readonly view: SheetView }) {
	const room = view.room ? `, ${view.room}` : "";
	return (
		<PaperHead
			title={view.dish}
			lines={[
				`${view.sitting}${room} · ${view.day} · ${view.version}`,
				`${view.house}, production sheet, printed ${view.printed}`,
			]}
			figure={{ label: "service", words: view.service }}
		/>
	);
}

/** Two beside each other, under each other where there is no room. */
const Halves = chakra("div", {
	base: {
		display: "grid",
		gap: "0 8mm",
		alignItems: "start",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" },
		_print: { gridTemplateColumns: "1fr 1fr" },
	},
});

/** The way of the food from the bench to the plate, with the limits of the house code. */
function Journey({ view }: { readonly view: NonNullable<Body["journey"]> }) {
	return (
		<chakra.section breakInside="avoid">
			<h2>How warm it is, bench to plate</h2>
			<Halves>
				<JourneyCurve drawing={view.drawing} />
				<chakra.div _print={LONG_LIST}>
					<chakra.ol listStyle="none">
						{view.limits.map(({ mark, words, verdict }) => (
							<li key={mark}>
								<b>{mark}</b> {verdict === "met" ? "" : "▲ "}
								{words}
							</li>
						))}
					</chakra.ol>
					<p>{view.growth}</p>
				</chakra.div>
			</Halves>
		</chakra.section>
	);
}

function SheetBody({ sheet }: { readonly sheet: Body }) {
	return (
		<>
			<chakra.dl
				display="grid"
				gridTemplateColumns={{ base: "repeat(2, minmax(0,1fr))", sm: "repeat(4, minmax(0,1fr))" }}
				_print={{ gridTemplateColumns: "repeat(4, 1fr)" }}
				gap="1mm 6mm"
				marginTop="2mm"
			>
				{sheet.figures.map(({ label, figure, shown }: SheetFigure) => (
					<div key={label}>
						<dt>{label}</dt>
						<chakra.dd fontFamily="head" fontWeight="700" fontSize="1.2em" lineHeight="1.15">
							<span {...shownAs(shown)}>{figure}</span>
						</chakra.dd>
					</div>
				))}
			</chakra.dl>
			{sheet.warnings.length > 0 ? (
				<chakra.div border="2px solid black" padding="1mm 3mm" marginTop="2mm">
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
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0,6fr) minmax(0,7fr)" }}
				_print={{ gridTemplateColumns: "6fr 7fr" }}
			>
				<div>
					<h2>Clock</h2>
					<ColumnTable
						columns={[
							{
								words: "Time",
								wrap: "never",
								cell: ({ time, id, at }) => (
									<b {...shownAs(id === undefined ? null : { what: "start", of: id, value: at })}>{time}</b>
								),
							},
							{
								words: "Task",
								cell: ({ task, id }) => (
									<span {...shownAs(id === undefined ? null : { what: "words", of: id, value: task })}>
										{task}
									</span>
								),
							},
							{ words: "Done", cell: () => "☐" },
						]}
						groups={sheet.days.map(({ day, tasks }) => ({ heading: day, rows: tasks }))}
						keyOf={({ time, task }) => time + task}
						onPaper
						headless
					/>
				</div>
				<div>
					<h2>Pans</h2>
					{sheet.drawn ? <PanCut {...sheet.drawn} paper_px={PAN_PX} /> : null}
					<ColumnTable
						columns={[
							{ words: "No.", cell: ({ number }) => number },
							{ words: "Pan", wrap: "never", cell: ({ name }) => name },
							{
								words: "Pieces",
								number: true,
								cell: ({ pieces, shown }) => <span {...shownAs(shown.pieces)}>{pieces}</span>,
							},
							{
								words: "Pour",
								number: true,
								cell: ({ liquid, shown }) => <span {...shownAs(shown.poured)}>{liquid}</span>,
							},
							{ words: "Dip", number: true, cell: ({ dip }) => dip },
							{
								words: "Carry",
								number: true,
								cell: ({ lifted, shown }) => <span {...shownAs(shown.carried)}>{lifted}</span>,
							},
						]}
						rows={sheet.pans}
						keyOf={({ number }) => number}
						onPaper
					/>
					<p>{sheet.cover}.</p>
					{sheet.ovens.map((oven) => (
						<p key={oven}>{oven}.</p>
					))}
					{sheet.sear ? <p>Colour: {sheet.sear}.</p> : null}
					{sheet.sauce ? <p>Sauce: {sheet.sauce}.</p> : null}
					{[...sheet.spices, ...sheet.serving].map((words) => (
						<p key={words}>{words}.</p>
					))}
				</div>
			</chakra.div>
			<h2>Weigh out</h2>
			<Halves>
				{halves(sheet.lines).map((rows) => (
					<BatchTable key={rows[0]?.name} lines={rows} />
				))}
			</Halves>
			<PaperMethod steps={sheet.steps} />
			{sheet.checks.length > 0 ? (
				<chakra.div breakInside="avoid">
					<h2>Check the braise</h2>
					<ul>
						{sheet.checks.map(({ when, what, text }) => (
							<li key={what}>
								<b>
									☐ {when} {what}.
								</b>{" "}
								{text}
							</li>
						))}
					</ul>
				</chakra.div>
			) : null}
			{sheet.journey ? <Journey view={sheet.journey} /> : null}
			<section>
				<h2>Allergens</h2>
				<p>{sheet.allergens.join("; ")}.</p>
			</section>
			<h2>Mind</h2>
			<chakra.ul columnCount={{ base: 1, md: 2, _print: 2 }} columnGap="8mm" _print={LONG_LIST}>
				{[...sheet.cautions, sheet.code].map((text) => (
					<chakra.li key={text} breakInside="avoid" marginBottom="1mm">
						{text}
					</chakra.li>
				))}
			</chakra.ul>
			<chakra.section breakInside="avoid">
				<h2>Write down what really happened</h2>
				<chakra.ul
					display="grid"
					gridTemplateColumns={{ base: "repeat(3, 1fr)", _print: "repeat(5, 1fr)" }}
					columnGap="6mm"
				>
					{WRITTEN.map((label) => (
						<chakra.li key={label} height={{ base: "12mm", _print: "10mm" }} borderBottom="1px solid black">
							{label}
						</chakra.li>
					))}
				</chakra.ul>
			</chakra.section>
		</>
	);
}

/** What a cook writes down of a batch, each with room for a hand. */
const WRITTEN = [
	"Weight in",
	"Trim",
	"Weight out",
	"Went in at",
	"Tender at",
	"Liquid left",
	"Core at service",
	"Cook",
	"Next time",
];

/** How wide the pan is drawn, px of the paper. */
const PAN_PX = 340;

/** A list beside itself: the first half, then the rest. */
function halves<Row>(rows: readonly Row[]): (readonly Row[])[] {
	const half = Math.ceil(rows.length / 2);
	return [rows.slice(0, half), rows.slice(half)].filter(({ length }) => length > 0);
}
