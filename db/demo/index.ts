export { INGREDIENTS } from "./ingredients.ts";
export { seedSkerryRecords } from "./records.ts";
export { seedSkerryHouse } from "./skerryHouse.ts";
