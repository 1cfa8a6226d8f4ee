export { allowedBy, checked, fits } from "./checked.ts";
export * from "./fields.ts";
export { must } from "./must.ts";
export { type Problem, Refusal, refuse } from "./Refusal.ts";
