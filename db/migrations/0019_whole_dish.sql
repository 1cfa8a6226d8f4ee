ALTER TABLE `house` ADD `by_product_worth` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe_listing` ADD `variant_of` text;--> statement-breakpoint
ALTER TABLE `recipe_listing` ADD `season` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `guests` text;--> statement-breakpoint
ALTER TABLE `sitting` ADD `in_house` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `share` text;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `swaps` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `by_products` text DEFAULT '{}' NOT NULL;