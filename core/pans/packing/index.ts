export { deliveryOf, scaledPiece, USUAL_SPREAD } from "./delivery.ts";
export type { Placed } from "./layer.ts";
export { packLayer, piecesPerPan } from "./packLayer.ts";
export { type MixedPacking, type MixedWay, type PlacedPiece, packMixed } from "./packMixed.ts";
export { type PanFit, panFit } from "./panFit.ts";
