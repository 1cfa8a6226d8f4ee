import { groupBy, sortBy } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { dryBeforeTender, ordered_kg, startAt } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { heatOf } from "#core/recipe";
import { type HeatWay, PLACES } from "#core/trade";
import type { Sitting } from "#db";
import { checksOf } from "../places/braise/checks.ts";
import { PLACE, type PlaceGiven, tasksOf } from "../places/index.ts";
import { journeyView } from "../places/journey.view.ts";
import { lineState } from "../places/panUp/lineModel.ts";
import { panUpView } from "../places/panUp/panUp.view.ts";
import { boughtOf, panShown, shownAt, startShown } from "../places/shownAt.ts";
import { fewPansWords, setWords } from "../places/words.ts";
import type { WorkedRow } from "../ui/server/worked.server.ts";
import { allergenLines, allergenView } from "../ui/words/allergenView.ts";
import { cautionsOf } from "../ui/words/cautions.ts";
import { guestLines } from "../ui/words/guestWords.ts";
import { linesOf } from "../ui/words/lineView.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import { versionWords } from "../ui/words/stateWords.ts";
import { stepViews } from "../ui/words/stepView.ts";
import { warningsNow } from "../ui/words/warningsNow.ts";
import { warningWords } from "../ui/words/warningWords.ts";

export interface SheetGiven {
	readonly house: string;
	readonly paper: string;
	readonly sitting: Sitting;
	readonly row: WorkedRow;
	readonly kitchen: Kitchen;
	readonly reading: Reading;
}

/** The production sheet of one dish, ready to print. */
export function sheetView(given: SheetGiven) {
	const { sitting, row, reading } = given;
	const { dish, plan, refused } = row;
	const head = {
		to: `/sittings/${sitting.id}/dishes/${dish.id}`,
		paper: given.paper,
		house: given.house,
		dish: dish.recipe.name,
		version: versionWords(dish),
		sitting: sitting.name,
		room: sitting.room,
		service: reading.time(sitting.serviceAt),
		day: reading.day(sitting.serviceAt),
		printed: `${reading.day(reading.now)} ${reading.clock(reading.now)}`,
		runningHead: [
			dish.recipe.name,
			...(plan ? [counted(plan.chain.portions, "portion")] : []),
			`${sitting.name} ${reading.day(sitting.serviceAt)}`,
		].join(", "),
		note: sitting.note,
		guests: guestLines(sitting.diets, dish.recipe.name, plan),
	};
	return plan
		? { ...head, refused: null, sheet: bodyView(given, plan) }
		: { ...head, refused: refused ?? "", sheet: null };
}

export type SheetView = ReturnType<typeof sheetView>;

function bodyView({ row: { dish }, sitting, kitchen, reading }: SheetGiven, plan: WorkedDish) {
	const { policy } = kitchen;
	const code = policy.code;
	const { recipe } = dish;
	const given = { plan, kitchen, reading };
	const { tender } = plan;
	const dry = dryBeforeTender(plan, plan.tasks);
	// The day of service heads the sheet; only another day is named again.
	const at = (instant: number) => reading.clockAfter(instant, sitting.serviceAt);
	const papers = PLACES.flatMap((key) => PLACE[key].paper?.(given) ?? []);
	const paper = (what: string) => papers.filter((line) => line.what === what).map(({ text }) => text);
	return {
		figures: [
			{ label: "Covers", figure: String(sitting.covers) },
			{
				label: "Portions",
				figure: String(plan.chain.portions),
				shown: { what: "portions" as const, of: plan.order.id, value: plan.chain.portions },
			},
			{
				label: plan.order.basis.from === "onHand" ? "On hand" : "Buy",
				figure: reading.mass(ordered_kg(plan.chain)),
				shown: boughtOf(plan),
			},
			{
				label: "Trimmed",
				figure: `${reading.mass(plan.chain.trimmed_kg)}, ${counted(plan.pieces, "piece")}`,
			},
			{ label: "Pans", figure: fewPansWords(plan), shown: shownAt("panUp", plan) },
			{
				label: HEAT_LABELS[heatOf(plan.recipe)],
				figure: setWords(plan, reading),
				shown: shownAt("braise", plan),
			},
			{
				label: plan.pans.goes > 1 ? "First go in" : "In",
				figure: at(startAt(plan, "braise")),
				shown: startShown(plan, "braise"),
			},
			dry === null
				? { label: "Tender", figure: `${at(tender.low)}–${reading.clockAfter(tender.high, tender.low)}` }
				: { label: "Dry before tender", figure: at(dry) },
		],
		days: daysOf(
			[
				...tasksOf(given).map(({ id, at: begins, words }) => ({ id, at: begins, task: words })),
				...(dry === null ? [{ at: tender.low, task: "Check first: probe the thickest piece" }] : []),
				{ at: sitting.serviceAt, task: "Service" },
			],
			reading,
		),
		drawn: drawnPan(given),
		pans: plan.pans.pans.map((pan, index) => ({
			number: index + 1,
			name: plan.pans.goes > 1 ? `${pan.type.name}, go ${pan.go}` : pan.type.name,
			pieces: pan.pieces,
			liquid: reading.volume(pan.liquid_l),
			dip: reading.length(pan.dip_mm),
			lifted: reading.mass(pan.lifted_kg),
			shown: panShown(pan, dish.id, index),
		})),
		cover: paper("Pan up").join(". "),
		ovens: ["Oven", "Heat", "Chill", "Reheat", "Hold", "Carry"].flatMap(paper),
		spices: [...paper("Build"), ...paper("Plate")],
		serving: ["Plate up", "Each gets", "Serve"].flatMap((what) =>
			paper(what).map((text) => `${what}: ${text}`),
		),
		sear: paper("Sear")[0] ?? null,
		sauce: paper("Sauce")[0] ?? null,
		lines: linesOf(plan, reading),
		steps: stepViews(recipe.steps, plan.batch, sitting.hands),
		journey: journeyView(given),
		checks: checksOf(given),
		allergens: allergenLines(allergenView(plan.allergens, policy.allergenList)),
		warnings: warningsNow(plan, kitchen, reading).map((warning) =>
			Object.values(warningWords(warning, reading)).join(" "),
		),
		cautions: cautionsOf(plan, code, policy.liftLimit_kg, reading),
		code: `“${code.name}” follows ${code.source}; for reference only.`,
	};
}

/** The first pan cut through at its line; null where there is no pan. */
function drawnPan(given: PlaceGiven) {
	const view = panUpView({ ...given, cardLine: null });
	const [pan] = view.pans;
	const state = lineState(view, 0, view.line);
	return pan && state ? { pan: pan.drawing, cut: state.cut } : null;
}

/** What a dish is set to, by what makes it tender. */
const HEAT_LABELS: Readonly<Record<HeatWay, string>> = {
	oven: "Oven",
	hob: "Simmer",
	slowCooker: "Slow cooker",
	pressure: "Pressure pot",
	bath: "Water bath",
};

interface Task {
	/** The task of the day; none where it is no task. */
	readonly id?: string;
	readonly at: number;
	readonly task: string;
}

/** Tasks in the order of the clock, by day: a sheet is read on a day other than it was printed. */
function daysOf(tasks: readonly Task[], reading: Reading) {
	const timed = sortBy(tasks, ["at"]).map((one) => ({ ...one, time: reading.time(one.at) }));
	const days = groupBy(timed, ({ at }) => reading.day(at));
	return Object.entries(days).map(([day, ofDay]) => ({ day, tasks: ofDay }));
}
