export {
	COLOUR_C,
	COLOUR_MIN,
	COLOUR_RECOVERY_MIN,
	colourInOven,
	type OvenColouring,
	TRAY_HANDS_MIN,
} from "./colourInOven.ts";
export {
	BURNERS_A_COOK,
	CROWDED_MM,
	DEGLAZE_MM,
	FAT_KG_PER_L,
	FILM_MM,
	HANDLING_S,
	LOADS_A_FAT,
	LOADS_A_FAT_FLOURED,
	SEAR_GAP_MM,
	type SearLoad,
	type SearPlan,
	type SearWay,
	searPlan,
	TOP_UP_ML,
} from "./searPlan.ts";
