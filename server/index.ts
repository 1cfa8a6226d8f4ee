export type { Live, LiveNews } from "./live.ts";
export { openStore } from "./openStore.ts";
export {
	type HeavyAnswer,
	type HeavyAsked,
	type HeavySetting,
	type Lane,
	newProgress,
	type Told,
} from "./pool.ts";
export { keepPreferences, NOBODY_NAMED, Preferences } from "./preferences.ts";
export { EXCHANGE_LIMIT } from "./security.ts";
export { type Visit, visitContext } from "./visit.ts";
