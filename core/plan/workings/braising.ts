import type { Kitchen } from "../../kitchen/index.ts";
import { type ChosenPan, depthOf, lineUp, pileIn, volumeBelow } from "../../pans/index.ts";
import { layersOf } from "../../recipe/index.ts";
import {
	add,
	figure,
	fiveDown,
	fiveNearest,
	fiveUp,
	most,
	multiply,
	subtract,
	type Working,
	working,
} from "../../workings/index.ts";
import { lastTender } from "../lastTender.ts";
import type { WorkedPlan } from "./WorkedPlan.ts";
import { piecesWorking } from "./yields.ts";

/** From the oven door on: when the slowest pans are tender. */
export function braiseWorkings(plan: WorkedPlan): Working[] {
	const { start, tender_min } = lastTender(plan, plan.tasks);
	const into = figure(start, "instant", "in");
	const after = (minutes: number, name: string) => add(into, figure(minutes, "min", name));
	return [
		working("tenderFirst", fiveDown(after(tender_min.low, "tenderLow")), "instant"),
		working("tenderLikely", fiveNearest(after(tender_min.likely, "tenderLikely")), "instant"),
		working("tenderLate", fiveUp(after(tender_min.high, "tenderHigh")), "instant"),
	];
}

/** The fullest pan of each kind: its line, its liquid, its dip, its weight. */
export function panWorkings(plan: WorkedPlan, kitchen: Kitchen): Working[] {
	const kinds = new Map<string, ChosenPan>();
	for (const pan of plan.pans.pans) if (!kinds.has(pan.type.id)) kinds.set(pan.type.id, pan);
	return [...piecesWorking(plan), ...[...kinds.values()].flatMap((pan) => onePan(pan, plan, kitchen))];
}

function onePan(pan: ChosenPan, { recipe }: WorkedPlan, { policy }: Kitchen): Working[] {
	const { piece, braise } = recipe;
	const about = {
		pan: pan.type.name,
		capacity: pan.capacity,
		layers: layersOf(recipe),
		headspace_mm: policy.headspace_mm,
	};
	const depth_mm = depthOf(pan.type.shape);
	const reached_mm = Math.min(pan.line_mm, depth_mm);
	const pile = pileIn(pan.type.shape, piece, pan.pieces, pan.bed, layersOf(recipe));
	return [
		working(
			"panLine",
			add(figure(pan.bed_mm, "mm", "bed"), figure(lineUp(pan.pile_mm, braise.line), "mm", "lineAboveFoot")),
			"mm",
			about,
		),
		working(
			"panLiquid",
			most(
				subtract(
					figure(volumeBelow(pan.type.shape, reached_mm), "l", "insideToLine"),
					multiply(
						figure(pan.pieces, "count", "pieces"),
						figure(pile.pieceBelow_l(reached_mm), "l", "aPieceBelow"),
					),
					figure(pile.bedBelow_l(reached_mm), "l", "vegetablesBelow"),
				),
				figure(0, "l"),
			),
			"l",
			about,
		),
		working(
			"panDip",
			most(subtract(figure(depth_mm, "mm", "depth"), figure(pan.line_mm, "mm", "line")), figure(0, "mm")),
			"mm",
			about,
		),
		working(
			"panLifted",
			add(figure(pan.contents_kg, "kg", "food"), figure(pan.lifted_kg - pan.contents_kg, "kg", "thePan")),
			"kg",
			{ ...about, limit_kg: policy.liftLimit_kg },
		),
	];
}
