export { INGREDIENTS } from "./ingredients.ts";
export { seedSkerryHouse } from "./skerryHouse.ts";
