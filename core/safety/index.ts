export { type Caution, cautionsFor, type Hazards } from "./cautions.ts";
export { HOUSE_CODE_KEYS, HOUSE_CODES, type HouseCode, type HouseCodeKey } from "./houseCodes.ts";
