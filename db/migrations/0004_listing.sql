CREATE TABLE `recipe_listing` (
	`recipe_id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`sort_name` text NOT NULL,
	`summary` text NOT NULL,
	`cut` text,
	`number` integer NOT NULL,
	`state` text NOT NULL,
	`allergens` text NOT NULL,
	`tags` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`recipe_id`) REFERENCES `recipe`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `recipe_listing_name` ON `recipe_listing` (`sort_name`);--> statement-breakpoint
CREATE INDEX `recipe_listing_at` ON `recipe_listing` (`at`);--> statement-breakpoint
CREATE TABLE `recipe_uses` (
	`recipe_id` text NOT NULL,
	`ingredient_id` text NOT NULL,
	PRIMARY KEY(`recipe_id`, `ingredient_id`),
	FOREIGN KEY (`recipe_id`) REFERENCES `recipe`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `recipe_uses_ingredient` ON `recipe_uses` (`ingredient_id`);