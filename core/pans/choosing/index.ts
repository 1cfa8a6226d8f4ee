export { type ChoosePans, chooseByBids, choosePans } from "./chooseByBids.ts";
export { choosePansWith } from "./choosePansWith.ts";
export { type ChosenPan, filledChoice, type PanChoice } from "./PanChoice.ts";
export type { PanLoad, PanWish } from "./panCandidates.ts";
export { spreadEvenly } from "./spreadEvenly.ts";
