import type { Plan } from "../Plan.ts";

/** A plan on the clock, before its sums are written out. */
export type WorkedPlan = Omit<Plan, "workings" | "warnings">;
