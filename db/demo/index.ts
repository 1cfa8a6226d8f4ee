export { seedSkerryHouse } from "./skerryHouse.ts";
