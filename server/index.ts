export { keepPreferences, Preferences } from "./preferences.ts";
export { NOBODY_NAMED, type Visit, visitContext } from "./visit.ts";
