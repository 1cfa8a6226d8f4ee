export { memoise } from "./memoise.ts";
