export { ReheatGiven, reheatMinutes, reheatRange } from "./reheat.ts";
export { needsStirring, type Reheating, type ReheatPoint, reheating } from "./reheating.ts";
