import { Type } from "@sinclair/typebox";
import { braise, HeatAsked, promisedMarks } from "../braise/index.ts";
import { Carried, carriedMinutes } from "../carry/index.ts";
import { Celsius, Count, checked, MillimetresOrNone, Minutes, refuse } from "../check/index.ts";
import { ChillGiven, minutesTo } from "../chill/index.ts";
import { checkedOvenDay, solveOvens } from "../day/index.ts";
import { JourneyGiven, journey } from "../journey/index.ts";
import {
	HEADSPACE_LID_MM,
	LIFT_LIMIT_KG,
	LineBelowTop,
	LineByShare,
	LineOverTop,
	Piece,
	panFit,
} from "../pans/index.ts";
import { ReheatGiven, reheatRange } from "../reheat/index.ts";
import { equivalentMinutes, Lethality } from "../safety/index.ts";
import { Reduction, reduce, Thickening, thicken } from "../sauce/index.ts";
import { ScaleLine, ScaleTo, scaleLines } from "../scaling/index.ts";
import { SEAR_GAP_MM, searPlan } from "../sear/index.ts";
import {
	Demand,
	Losses,
	OnHand,
	PortionByPiece,
	PortionByWeight,
	Purchase,
	portionsWanted,
	yieldForPortions,
	yieldFromStock,
} from "../yields/index.ts";
import { readBraise, readHeat, sidesOfPiece } from "./readBraise.ts";
import { readPan } from "./readPan.ts";
import { readStage, StageAsked } from "./readStage.ts";

const PieceLosses = Type.Partial(Losses);

const YieldByWeight = Type.Composite([Demand, PortionByWeight, Losses, Purchase]);
const YieldByPiece = Type.Composite([Demand, PortionByPiece, PieceLosses, Purchase]);
const StockByWeight = Type.Composite([OnHand, PortionByWeight, Losses]);
const StockByPiece = Type.Composite([OnHand, PortionByPiece, PieceLosses]);

const Scale = Type.Composite([ScaleTo, Type.Object({ lines: Type.Array(ScaleLine, { minItems: 1 }) })]);

const AnyObject = Type.Object({}, { additionalProperties: true });
const Line = Type.Union([LineByShare, LineBelowTop, LineOverTop], {
	allowed: "a share of the piece (0 to 1), below_mm or over_mm",
});

const PanFitGiven = Type.Object({
	pan: AnyObject,
	piece: Piece,
	pieces: Count,
	gap_mm: Type.Optional(MillimetresOrNone),
	line: Line,
	headspace_mm: Type.Optional(MillimetresOrNone),
});

const SearGiven = Type.Object({
	pan: AnyObject,
	piece: Piece,
	pieces: Count,
	gap_mm: Type.Optional(MillimetresOrNone),
	sides: Type.Integer({ minimum: 1, maximum: 6, allowed: "a whole number of sides from 1 to 6" }),
	minutesPerSide: Type.Number({
		exclusiveMinimum: 0,
		maximum: 120,
		allowed: "minutes above 0 and up to 120",
	}),
	recovery_min: Type.Optional(Minutes),
	burners: Type.Optional(Count),
	film_mm: Type.Optional(Type.Number({ minimum: 0, maximum: 20, allowed: "a film from 0 to 20 mm" })),
});

const Chill = Type.Composite([
	ChillGiven,
	Type.Object({ to_C: Type.Array(Celsius, { minItems: 1, maxItems: 20, allowed: "1 to 20 temperatures" }) }),
]);

const Reheat = Type.Composite([ReheatGiven, Type.Object({ pan: AnyObject, heat: HeatAsked })]);

const Journey = Type.Composite([
	JourneyGiven,
	Type.Object({
		stages: Type.Array(StageAsked, { minItems: 1, maxItems: 100, allowed: "1 to 100 stages" }),
	}),
]);

/** Out of the fridge, and hot, where a case does not say, °C. */
const CASE_COLD_C = 4;
const CASE_HOT_C = 75;

/** Film under each load where a case does not say, mm. */
const CASE_FILM_MM = 1;

/** A question to the core by name; each answers with plain figures whose names carry their unit. */
const CALCULATIONS: Readonly<Record<string, (given: unknown) => unknown>> = {
	yield: (given) => {
		const fields = checked(AnyObject, given);
		if ("onHand_kg" in fields) {
			return "piecesPerPortion" in fields ? stockByPiece(fields) : stockByWeight(fields);
		}
		return "piecesPerPortion" in fields ? byPiece(fields) : byWeight(fields);
	},
	scale: (given) => {
		const { lines, ...to } = checked(Scale, given);
		return { lines: scaleLines(lines, to) };
	},
	panFit: (given) => {
		const asked = checked(PanFitGiven, given);
		return panFit(readPan(asked.pan), asked.piece, asked.pieces, asked.gap_mm ?? 10, asked.line, {
			headspace_mm: asked.headspace_mm ?? HEADSPACE_LID_MM,
			liftLimit_kg: LIFT_LIMIT_KG,
		});
	},
	sear: (given) => {
		const asked = checked(SearGiven, given);
		return searPlan(readPan(asked.pan), asked.piece, asked.pieces, {
			sides: asked.sides,
			minutesPerSide: asked.minutesPerSide,
			gap_mm: asked.gap_mm ?? SEAR_GAP_MM,
			recovery_min: asked.recovery_min ?? 2,
			burners: asked.burners ?? 1,
			film_mm: asked.film_mm ?? CASE_FILM_MM,
		});
	},
	braise: (given) => {
		const braised = braise(readBraise(given));
		const { liquidLeft_l, dryAt_min, peakLiquid_C } = braised;
		const marks = promisedMarks(braised);
		return {
			sliceable_min: marks.sliceable,
			forkTender_min: marks.forkTender,
			shredding_min: marks.shredding,
			fallingApart_min: marks.fallingApart,
			liquidLeft_l,
			dryAt_min,
			peakLiquid_C,
		};
	},
	reduce: (given) => reduce(checked(Reduction, given)),
	thicken: (given) => thicken(checked(Thickening, given)),
	schedule: (given) => solveOvens(checkedOvenDay(given)),
	chill: (given) => {
		const { to_C, ...asked } = checked(Chill, given);
		return { minutesTo: minutesTo(asked, to_C) };
	},
	reheat: (given) => {
		const { pan, heat, to_C = CASE_HOT_C, start_C = CASE_COLD_C, ...food } = checked(Reheat, given);
		const shape = readPan(pan);
		return { minutes: reheatRange({ ...food, start_C, pan: shape, heat: readHeat(heat) }, to_C) };
	},
	journey: (given) => {
		const {
			stages,
			start_C,
			depth_mm,
			consistency,
			piece,
			boneShare = 0,
			...counts
		} = checked(Journey, given);
		const travels = piece
			? { sides: sidesOfPiece(piece), boneShare }
			: depth_mm === undefined
				? undefined
				: { depth_mm, consistency };
		if (!travels) throw refuse("piece", "is missing; a piece, or a depth_mm of food, is needed");
		const through = stages.map((stage, index) =>
			readStage(stage, `stages[${index}]`, "sides" in travels ? travels.sides : undefined),
		);
		const { course: _, growth: __, ...walked } = journey([{ travels, stages: through }], start_C, counts);
		return walked;
	},
	lethality: (given) => ({ equivalent_min: equivalentMinutes(checked(Lethality, given)) }),
	carry: (given) => ({ minutes: carriedMinutes(checked(Carried, given)) }),
};

/**
 * Answers one question.
 *
 * @param calc  which calculation
 * @param given its fields, from outside
 * @throws {Refusal} naming the field and what is allowed
 */
export function calculate(calc: string, given: unknown): unknown {
	const calculation = CALCULATIONS[calc];
	if (!calculation) {
		throw refuse("calc", `“${calc}” was given; one of ${Object.keys(CALCULATIONS).join(", ")} is allowed`);
	}
	return calculation(given);
}

/** A dish by the piece may leave out what does not change its order. */
function losses(given: Partial<Losses>): Losses {
	return { trimLoss: 0, cookingLoss: 0, ...given };
}

function byWeight(given: unknown): unknown {
	const asked = checked(YieldByWeight, given);
	return yieldForPortions(portionsWanted(asked), asked, asked, asked.pack_kg);
}

function byPiece(given: unknown): unknown {
	const asked = checked(YieldByPiece, given);
	return yieldForPortions(portionsWanted(asked), asked, losses(asked), asked.pack_kg);
}

function stockByWeight(given: unknown): unknown {
	const asked = checked(StockByWeight, given);
	return yieldFromStock(asked.onHand_kg, asked, asked);
}

function stockByPiece(given: unknown): unknown {
	const asked = checked(StockByPiece, given);
	return yieldFromStock(asked.onHand_kg, asked, losses(asked));
}
