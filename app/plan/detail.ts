import {
	type ChosenPan,
	depthOf,
	insideAt,
	LINE_SCHOOLS,
	lineAbovePiece,
	lineWords,
	type PanShape,
	packLayer,
	panWords,
	pieceHeight,
	rimOf,
} from "#core/pans";
import { handsOn, type PlanLine } from "#core/plan";
import { LIDS, type PlaceKey, type Recipe } from "#core/recipe";
import { durationWords } from "#core/schedule";
import type { OvenDrawing, PanDrawing } from "../ui/drawings.ts";
import type { Fact } from "../ui/Facts.tsx";
import { marinade_l, setOf } from "../ui/places.ts";
import { counted, percent } from "../ui/reading.ts";
import { type WarningWords, warningWords } from "../ui/warningWords.ts";
import { type Sum, type SumsFor, sumsOf } from "./arithmetic.ts";
import { type LineView, lineView } from "./lineView.ts";

/** What opens below the long table when a place is chosen. */
export interface PlaceDetail {
	readonly key: PlaceKey;
	/** The answer, in one line. */
	readonly title: string;
	readonly says: string;
	readonly facts: readonly Fact[];
	readonly lines: readonly LineView[];
	readonly steps: readonly StepView[];
	readonly warnings: readonly WarningWords[];
	readonly sums: readonly Sum[];
	readonly pan?: PanDrawing;
	readonly searLoad?: { readonly pan: PanDrawing; readonly loads: readonly number[] };
	readonly braise?: BraiseView;
}

export interface StepView {
	readonly text: string;
	readonly station: string;
	readonly minutes: string;
	readonly caution?: string;
	readonly check?: string;
}

/** The clock of the oven, as shares of the time from in to service. */
export interface BraiseView {
	readonly marks: readonly { readonly at: number; readonly words: string; readonly clock: string }[];
	readonly window: {
		readonly from: number;
		readonly likely: number;
		readonly to: number;
		readonly words: string;
	};
	readonly ovens: readonly OvenDrawing[];
}

/** What one place asks for, ready to show. */
export function detailOf(key: PlaceKey, given: SumsFor): PlaceDetail {
	const { plan, recipe, reading } = given;
	return {
		key,
		...headline(key, given),
		lines: plan.lines.filter((line) => belongsTo(key, line)).map((line) => lineView(line, reading)),
		steps: stepsOf(key, recipe, plan.factor),
		warnings: plan.warnings
			.filter((warning) => warning.place === key)
			.map((warning) => warningWords(warning, reading)),
		sums: sumsOf(key, given),
		...drawingOf(key, given),
	};
}

type Headline = Pick<PlaceDetail, "title" | "says" | "facts">;

function headline(key: PlaceKey, given: SumsFor): Headline {
	const { plan, recipe, reading, kitchen, sitting } = given;
	const { chain, clock } = plan;
	switch (key) {
		case "buy":
			return {
				title: buyTitle(given),
				says: `Order by ${reading.clock(clock.buy)}. ${chain.portions} portions, ${portionWords(given)}.`,
				facts: [
					{ figure: reading.mass(chain.asPurchased_kg), label: "needed as purchased" },
					{ figure: reading.mass(chain.trimmed_kg), label: "after trimming" },
					{ figure: reading.mass(chain.cooked_kg), label: "cooked" },
				],
			};
		case "trim":
			return {
				title: `${reading.mass(chain.trimmed_kg)} trimmed, ${plan.pieces} pieces`,
				says: `${reading.mass(recipe.piece.weight_g / 1000)} each, ${pieceWords(given)}. Start by ${reading.clock(clock.trim)}.`,
				facts: [
					{ figure: reading.mass(chain.asPurchased_kg - chain.trimmed_kg), label: "trim, to stock" },
					{ figure: durationWords(plan.work.trim.wall_min), label: `for ${counted(sitting.hands, "cook")}` },
				],
			};
		case "marinate":
			return {
				title: `${reading.volume(marinade_l(plan))}, from ${reading.clock(clock.marinate ?? clock.sear)}`,
				says: `Drain at ${reading.clock(clock.sear)}. ${recipe.marinate?.container ?? ""}.`,
				facts: [{ figure: durationWords(recipe.marinate?.longest_min ?? 0), label: "at the most" }],
			};
		case "sear":
			return plan.sear
				? {
						title: `${counted(plan.sear.loads, "load")} of ${plan.sear.perLoad}`,
						says: `${kitchen.searPan?.name ?? ""}, ${counted(kitchen.burners, "burner")}. From ${reading.clock(clock.sear)}.`,
						facts: [
							{ figure: durationWords(plan.sear.minutes), label: "on the wall clock" },
							{ figure: reading.mass(plan.sear.fat_g / 1000), label: "fat, a film for each load" },
							{ figure: `${recipe.sear?.sides} × ${recipe.sear?.minutesPerSide} min`, label: "sides" },
						],
					}
				: { title: "No searing pan", says: "Choose one under Kitchen.", facts: [] };
		case "build":
			return {
				title: `${reading.volume(plan.pans.liquid_l)} of liquid`,
				says: `What the pans need to reach the line. From ${reading.clock(clock.build)}.`,
				facts: [
					{ figure: durationWords(plan.work.build.wall_min), label: `for ${counted(sitting.hands, "cook")}` },
				],
			};
		case "panUp":
			return panUpHeadline(given);
		case "braise":
			return {
				title: `Into the oven ${reading.clock(clock.in)}`,
				says: `${reading.temperature(setOf(recipe, plan))}, ${LIDS[recipe.braise.lid]}. Tender ${tenderWords(given)}.`,
				facts: [
					{ figure: reading.clockAfter(clock.tender.low, clock.in), label: "check first at" },
					{ figure: reading.clockAfter(clock.rest, clock.in), label: "lift, at the latest" },
					{
						figure: `${reading.temperature(recipe.braise.oven_C.low)} to ${reading.temperature(recipe.braise.oven_C.high)}`,
						label: "suits the dish",
					},
				],
			};
		case "rest":
			return {
				title: `${durationWords(recipe.rest_min)} of rest`,
				says: `Lift at ${reading.clock(clock.rest)}, one piece at a time.`,
				facts: [{ figure: reading.clock(clock.tender.likely), label: "likely tender" }],
			};
		case "sauce":
			return {
				title: `${reading.volume(plan.sauce_l)} of sauce`,
				says: `From ${reading.clock(clock.sauce)}, out of the ${reading.volume(plan.pans.liquid_l)} that went in and what the meat gave.`,
				facts: [{ figure: reading.volume(recipe.sauce_ml / 1000), label: "a plate" }],
			};
		case "plate":
			return {
				title: counted(chain.portions, "plate"),
				says: `Start plating at ${reading.clock(clock.plate)} for ${reading.clock(clock.serve)}.`,
				facts: [
					{ figure: portionWords(given), label: "on each" },
					{ figure: reading.volume(recipe.sauce_ml / 1000), label: "sauce on each" },
				],
			};
	}
}

/** "Sat 17:10–18:15, likely 17:40" */
function tenderWords({ plan, reading }: SumsFor): string {
	const { in: into, tender } = plan.clock;
	const at = (instant: number) => reading.clockAfter(instant, into);
	return `${at(tender.low)}–${at(tender.high)}, likely ${at(tender.likely)}`;
}

function buyTitle({ plan, recipe, reading }: SumsFor): string {
	const { chain } = plan;
	if (plan.setBy === "meat")
		return `${reading.mass(chain.asPurchased_kg)} on hand makes ${chain.portions} portions`;
	if (chain.packs === undefined || recipe.pack_kg === undefined) return reading.mass(chain.asPurchased_kg);
	return `${reading.mass(chain.order_kg ?? 0)}, ${counted(chain.packs, "pack")} of ${reading.mass(recipe.pack_kg)}`;
}

function portionWords({ recipe, reading }: SumsFor): string {
	return "portion_g" in recipe.portion
		? `${reading.mass(recipe.portion.portion_g / 1000)} cooked`
		: counted(recipe.portion.piecesPerPortion, "piece");
}

function pieceWords({ recipe, reading }: SumsFor): string {
	const { piece } = recipe;
	const side = (mm: number) => reading.length(mm);
	if (piece.shape === "block")
		return `${side(piece.length_mm)} × ${side(piece.width_mm)} × ${side(piece.height_mm)}`;
	if (piece.shape === "ball") return `${side(piece.diameter_mm)} across`;
	return `${side(piece.length_mm)} long, ${side(piece.diameter_mm)} thick`;
}

function panUpHeadline({ plan, recipe, reading, kitchen }: SumsFor): Headline {
	const { pans } = plan.pans;
	const [full] = pans;
	if (!full) return { title: "No pan for it", says: "See the warning below.", facts: [] };
	const left = [...new Set(pans.map((pan) => pan.type))].map((type) => {
		const used = pans.filter((pan) => pan.type.id === type.id).length;
		return `${used} of the ${type.stock} free ${type.name}`;
	});
	return {
		title: `${counted(pans.length, "pan")}, ${alike(pans.map((pan) => pan.pieces))} pieces`,
		says: `${left.join(", ")}. Covered with ${LIDS[recipe.braise.lid]}; liquid ${lineWords(recipe.braise.line)}.`,
		facts: [
			{ figure: reading.volume(full.liquid_l), label: "to pour, fullest pan" },
			{ figure: reading.volume(plan.pans.liquid_l), label: "all pans" },
			{
				figure: reading.length(full.dip_mm),
				label: `dip; ${reading.length(kitchen.headspace_mm)} is the least`,
			},
			{ figure: reading.mass(full.lifted_kg), label: "to carry, with the pan" },
		],
	};
}

/** "2 × 19 + 3 × 18" */
function alike(pieces: readonly number[]): string {
	const kinds = [...new Set(pieces)];
	return kinds
		.map((kind) => {
			const times = pieces.filter((one) => one === kind).length;
			return times === 1 ? String(kind) : `${times} × ${kind}`;
		})
		.join(" + ");
}

/** Which lines of the card are wanted at which place. */
function belongsTo(key: PlaceKey, { line }: PlanLine): boolean {
	switch (key) {
		case "buy":
			return true;
		case "marinate":
			return line.reducedTo !== undefined;
		case "sear":
			return line.role === "searFat" || line.role === "salt";
		case "build":
			return (
				line.group === "liquid" || (line.group === "base" && line.role !== "main" && line.role !== "searFat")
			);
		case "sauce":
			return line.role === "thickener" || line.group === "finish";
		case "plate":
			return line.group === "side" || line.group === "garnish";
		default:
			return false;
	}
}

function stepsOf(key: PlaceKey, recipe: Recipe, factor: number): StepView[] {
	return recipe.steps
		.filter((step) => step.place === key)
		.map((step) => ({
			text: step.text,
			station: step.station,
			minutes: [
				step.handsOn_min > 0 ? `${durationWords(handsOn(step, factor))} of work` : "",
				step.waiting_min > 0 ? `${durationWords(step.waiting_min)} waiting` : "",
			]
				.filter(Boolean)
				.join(", "),
			...(step.caution ? { caution: step.caution } : {}),
			...(step.check ? { check: step.check } : {}),
		}));
}

function drawingOf(key: PlaceKey, given: SumsFor): Pick<PlaceDetail, "pan" | "searLoad" | "braise"> {
	const { plan, recipe, kitchen } = given;
	if (key === "panUp" && plan.pans.pans[0]) return { pan: panDrawing(plan.pans.pans[0], given) };
	if (key === "sear" && plan.sear && kitchen.searPan && recipe.sear) {
		const last = plan.pieces - (plan.sear.loads - 1) * plan.sear.perLoad;
		return {
			searLoad: {
				pan: emptyPanDrawing(kitchen.searPan.shape, recipe, recipe.sear.gap_mm, given),
				loads: Array.from({ length: plan.sear.loads }, (_, load) =>
					load < (plan.sear?.loads ?? 0) - 1 ? (plan.sear?.perLoad ?? 0) : last,
				),
			},
		};
	}
	if (key === "braise") return { braise: braiseView(given) };
	return {};
}

function emptyPanDrawing(shape: PanShape, recipe: Recipe, gap_mm: number, { reading }: SumsFor): PanDrawing {
	const placed = packLayer(insideAt(shape, 0), recipe.piece, gap_mm);
	return {
		rim: rimOf(shape),
		top: insideAt(shape, depthOf(shape)),
		floor: insideAt(shape, 0),
		depth_mm: depthOf(shape),
		placed,
		round: recipe.piece.shape === "ball",
		pieceHeight_mm: pieceHeight(recipe.piece),
		across: reading.length(rimOf(shape).length_mm),
		words: `${panWords(shape)} from above with ${counted(placed.length, "piece")}.`,
	};
}

function panDrawing(pan: ChosenPan, given: SumsFor): PanDrawing {
	const { recipe, reading, kitchen } = given;
	const base = emptyPanDrawing(pan.type.shape, recipe, recipe.gap_mm, given);
	const schools = LINE_SCHOOLS.map(({ name, line }) => ({
		name,
		mm: pan.bed_mm + lineAbovePiece(recipe.piece, line),
	})).filter(({ mm }) => mm <= depthOf(pan.type.shape));
	return {
		...base,
		placed: middleOf(base.placed, pan.pieces),
		words: `${pan.type.name} from above: ${pan.pieces} pieces in one layer, ${reading.length(recipe.gap_mm)} apart, of ${pan.capacity} that it holds.`,
		filled: {
			line_mm: pan.line_mm,
			bed_mm: pan.bed_mm,
			lid: LIDS[recipe.braise.lid],
			lineWords: lineWords(recipe.braise.line),
			line: reading.length(pan.line_mm),
			dip: reading.length(pan.dip_mm),
			headspace_mm: kitchen.headspace_mm,
			schools,
			words: `${pan.type.name} cut through: ${reading.length(pan.bed_mm)} of vegetables, pieces ${reading.length(base.pieceHeight_mm)} high, liquid line ${reading.length(pan.line_mm)} above the floor (${lineWords(recipe.braise.line)}), dip ${reading.length(pan.dip_mm)} from the rim.`,
		},
	};
}

/** A pan that is not quite full leaves its free places at the end of the last row. */
function middleOf<T>(placed: readonly T[], pieces: number): T[] {
	return placed.slice(0, pieces);
}

function braiseView({ plan, recipe, reading }: SumsFor): BraiseView {
	const { clock } = plan;
	const whole = clock.serve - clock.in;
	const share = (at: number) => (at - clock.in) / whole;
	const mark = (at: number, words: string) => ({ at: share(at), words, clock: reading.clock(at) });
	return {
		marks: [mark(clock.in, "in"), mark(clock.rest, "lift"), mark(clock.serve, "serve")],
		window: {
			from: share(clock.tender.low),
			likely: share(clock.tender.likely),
			to: share(clock.tender.high),
			words: `In ${reading.clock(clock.in)}. Tender ${reading.clock(clock.tender.low)} to ${reading.clock(clock.tender.high)}, likely ${reading.clock(clock.tender.likely)}. Lift ${reading.clock(clock.rest)}. Serve ${reading.clock(clock.serve)}.`,
		},
		ovens: plan.ovens.loads.map((load) => ({
			name: load.oven.name,
			rungs: load.oven.rungs,
			pitch_mm: load.oven.pitch_mm,
			wide: load.oven.shelf,
			set: reading.temperature(load.set_C),
			set_C: load.set_C,
			pans: load.pans.map(({ type, count }) => ({
				name: type.name,
				count,
				depth_mm: depthOf(type.shape),
				length_mm: rimOf(type.shape).length_mm,
				width_mm: rimOf(type.shape).width_mm,
			})),
			words: `${load.oven.name} at ${reading.temperature(load.set_C)}: ${load.pans.map(({ type, count }) => `${count} × ${type.name}`).join(", ")}; ${load.rungsTaken} of ${load.oven.rungs} rungs taken. ${percent(load.rungsTaken / load.oven.rungs)} full. ${recipe.name}.`,
		})),
	};
}
