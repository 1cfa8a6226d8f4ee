export { type ChoosePans, chooseByBids, choosePans } from "./chooseByBids.ts";
export { choosePansWith } from "./choosePansWith.ts";
export { type ChosenPan, filledChoice, filledTo, inGoes, MOST_GOES, type PanChoice } from "./PanChoice.ts";
export { capacityOf, GAP_GIVES_MM, type PanLoad, type PanWish, tightGap } from "./panCandidates.ts";
export { spreadEvenly } from "./spreadEvenly.ts";
