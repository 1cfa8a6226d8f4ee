export { type Equipment, type HousePolicy, type Kitchen, type KnownIngredients, potsOf } from "./Kitchen.ts";
