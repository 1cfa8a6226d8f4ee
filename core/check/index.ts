export { allowedBy, checked, fits } from "./checked.ts";
export * from "./fields.ts";
export { type Problem, Refusal, refuse } from "./Refusal.ts";
