export { HOUSE_CODE_KEYS, HOUSE_CODES, type HouseCode, type HouseCodeKey } from "./houseCodes.ts";
