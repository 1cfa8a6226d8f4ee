import type { PanLoad } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { DishOrder } from "./DishOrder.ts";
import type { BatchSize } from "./sizeOfBatch.ts";

/** One dish sized, before it has pans. */
export interface SizedDish {
	readonly recipe: Recipe;
	readonly order: DishOrder;
	readonly size: BatchSize;
	readonly factor: number;
	readonly load: PanLoad;
}
