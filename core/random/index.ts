export { figuresHash } from "./figuresHash.ts";
export { normal, type Random, seeded, shuffled } from "./seeded.ts";
