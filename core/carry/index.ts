export {
	CARRIED_J_PER_KGK,
	Carried,
	carriedMinutes,
	carriedReach,
	carriedTo,
	measuredLoss,
	USUAL_UA_W_PER_K,
} from "./carry.ts";
