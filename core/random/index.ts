export { normal, type Random, seeded, shuffled } from "./seeded.ts";
