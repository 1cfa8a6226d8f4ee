export { BY_PRODUCT_KINDS, BY_PRODUCTS, type ByProductKind } from "./byProducts.ts";
export { CUTS, type Cut, cutWords } from "./cuts.ts";
export { GROUPS, type Group } from "./groups.ts";
export { HEAT_RANGES, HEAT_WAYS, HEATS, type HeatWay } from "./heats.ts";
export { coveredBy, LID_KEYS, LIDS, type Lid } from "./lids.ts";
export { PLACE_WORDS, PLACES, type PlaceKey } from "./places.ts";
export { ROLE_LAW, ROLES, type Role } from "./roles.ts";
export { USUAL_JOINT_KG } from "./usualJoints.ts";
