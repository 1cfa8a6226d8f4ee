export { keepPreferences, Preferences } from "./preferences.ts";
export { EXCHANGE_LIMIT } from "./security.ts";
export { NOBODY_NAMED, type Visit, visitContext } from "./visit.ts";
