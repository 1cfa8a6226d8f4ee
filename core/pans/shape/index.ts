export {
	type FilledPan,
	fillingWorkings,
	fillPan,
	HEADSPACE_LID_MM,
	HEADSPACE_OPEN_MM,
	LIFT_LIMIT_KG,
	LIQUID_KG_PER_L,
	NOTHING_OVER,
	type Over,
	type PanLimits,
	type PanWarning,
	pouring,
	UNDER_COVER_MM,
} from "./fillPan.ts";
export {
	GASTRONORM,
	GASTRONORM_DEPTHS_MM,
	GASTRONORM_SIZES,
	type GastronormSize,
} from "./gastronorm.ts";
export { LINE_SCHOOLS, type LiquidLine, lineAbovePiece, lineUp, lineWords } from "./liquidLine.ts";
export { lineAround, litresAround, type MeatLayer } from "./litresAround.ts";
export {
	areaOf,
	checkMeasured,
	depthOf,
	emptyPanWeight,
	type Floor,
	floorArea,
	heightOf,
	insideAt,
	type PanShape,
	panWords,
	perimeterOf,
	rimOf,
	rimSpan,
	volumeBelow,
} from "./PanShape.ts";
export { type PanType, RUNG_MM, rungsHigh, shelfShare } from "./PanType.ts";
export {
	footprint,
	layeredBelow,
	liesRound,
	MEAT_KG_PER_L,
	pieceBelow,
	pieceHeight,
	pieceThickness,
	pieceVolume,
} from "./Piece.ts";
export {
	BED_FILL,
	type Bed,
	bedHeight,
	type Layers,
	meatVolume,
	NO_BED,
	type Pile,
	POURED_FILL,
	pileIn,
	stackHeight,
} from "./pile.ts";
export { LEAST_LINE, lineAtHeight, lineForLitres } from "./pour.ts";
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
export { type PanSizes, shapeOfSizes } from "./shapeOfSizes.ts";
export { smallerPiece } from "./smallerPiece.ts";
