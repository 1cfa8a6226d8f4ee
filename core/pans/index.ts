export { type ChoosePans, chooseByHand, choosePans } from "./chooseByHand.ts";
export { choosePansWith } from "./choosePansWith.ts";
export { deliveryOf, sized, USUAL_SPREAD } from "./delivery.ts";
export {
	BED_FILL,
	type Bed,
	type FilledPan,
	fillPan,
	HEADSPACE_LID_MM,
	HEADSPACE_OPEN_MM,
	LIFT_LIMIT_KG,
	LIQUID_KG_PER_L,
	litresToLine,
	NO_BED,
	type PanLimits,
	type PanWarning,
} from "./fillPan.ts";
export {
	GASTRONORM,
	GASTRONORM_DEPTHS_MM,
	GASTRONORM_SIZES,
	type GastronormSize,
} from "./gastronorm.ts";
export {
	LINE_SCHOOLS,
	type LiquidLine,
	lineAbovePiece,
	lineWords,
} from "./liquidLine.ts";
export { lineAround, litresAround, type MeatLayer } from "./litresAround.ts";
export { type ChosenPan, filledChoice, type PanChoice } from "./PanChoice.ts";
export {
	areaOf,
	checkMeasured,
	depthOf,
	emptyPanWeight,
	type Floor,
	heightOf,
	insideAt,
	type PanShape,
	panWords,
	rimOf,
	volumeBelow,
} from "./PanShape.ts";
export { footprint, MEAT_KG_PER_L, pieceBelow, pieceHeight, pieceThickness } from "./Piece.ts";
export { type Placed, packLayer } from "./packLayer.ts";
export { type MixedPacking, type MixedWay, type PlacedPiece, packMixed } from "./packMixed.ts";
export {
	OVER_PAN_MM,
	type PanLoad,
	type PanType,
	type PanWish,
	piecesPerPan,
	RUNG_MM,
	rungsHigh,
	shelfShare,
} from "./panCandidates.ts";
export { type PanFit, panFit } from "./panFit.ts";
export {
	BoxPan,
	GastronormPan,
	LineBelowTop,
	LineByShare,
	LineOverTop,
	MeasuredPan,
	Piece,
	RoundPan,
} from "./schemas.ts";
export { smallerPiece } from "./smallerPiece.ts";
export { spreadEvenly } from "./spreadEvenly.ts";
