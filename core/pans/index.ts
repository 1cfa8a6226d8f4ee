export {
	type ChosenPan,
	choosePans,
	OVER_PAN_MM,
	type PanChoice,
	type PanLoad,
	type PanType,
	piecesPerPan,
	RUNG_MM,
	rungsHigh,
	shelfShare,
} from "./choosePans.ts";
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
	LineBelowTop,
	LineByShare,
	LineOverTop,
	type LiquidLine,
	lineAbovePiece,
	lineWords,
} from "./liquidLine.ts";
export {
	BoxPan,
	depthOf,
	emptyPanWeight,
	type Floor,
	GastronormPan,
	heightOf,
	insideAt,
	type PanShape,
	panWords,
	RoundPan,
	rimOf,
	volumeBelow,
} from "./PanShape.ts";
export { footprint, MEAT_KG_PER_L, Piece, pieceBelow, pieceHeight, pieceThickness } from "./Piece.ts";
export { type Placed, packLayer } from "./packLayer.ts";
export { type PanFit, panFit } from "./panFit.ts";
export { spreadEvenly } from "./spreadEvenly.ts";
