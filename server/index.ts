export { openStore } from "./openStore.ts";
export {
	type HeavyAnswer,
	type HeavyAsked,
	type HeavySetting,
	type Lane,
	newProgress,
	type Told,
} from "./pool.ts";
export { keepPreferences, Preferences } from "./preferences.ts";
export { EXCHANGE_LIMIT } from "./security.ts";
export { NOBODY_NAMED, type Visit, visitContext } from "./visit.ts";
