export type {
	Beliefs,
	LiquidBelieved,
	MadeAheadBelieved,
	MinutesBelieved,
	StartsBelieved,
} from "./Beliefs.ts";
export type { CutGives } from "./cutGives.ts";
export { SHIPPED_BELIEFS } from "./shipped.ts";
