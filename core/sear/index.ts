export { FAT_KG_PER_L, FILM_MM, SEAR_GAP_MM, type SearPlan, type SearWay, searPlan } from "./searPlan.ts";
