CREATE TABLE `ingredient_price` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`ingredient_id` text NOT NULL,
	`pack_g` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`from` integer NOT NULL,
	`who` text NOT NULL,
	FOREIGN KEY (`ingredient_id`) REFERENCES `ingredient`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ingredient_price_from` ON `ingredient_price` (`ingredient_id`,`from`);--> statement-breakpoint
CREATE TABLE `recipe_draft` (
	`recipe_id` text PRIMARY KEY NOT NULL,
	`doc` text NOT NULL,
	`based_on` integer,
	`at` integer NOT NULL,
	`who` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe_state` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`recipe_version_id` text NOT NULL,
	`state` text NOT NULL,
	`at` integer NOT NULL,
	`who` text NOT NULL,
	`reason` text DEFAULT '' NOT NULL,
	FOREIGN KEY (`recipe_version_id`) REFERENCES `recipe_version`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `recipe_state_version` ON `recipe_state` (`recipe_version_id`,`id`);--> statement-breakpoint
ALTER TABLE `house` ADD `allergen_list` text DEFAULT 'eu14' NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `salt_low_pct` real DEFAULT 0.8 NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `salt_high_pct` real DEFAULT 1.2 NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `category` text DEFAULT 'vegetable' NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `cut` text;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `origins` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `supplier` text;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `trim_loss` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `may_contain` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `pack_g` integer;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `merged_into` text;--> statement-breakpoint
ALTER TABLE `recipe` ADD `kind` text DEFAULT 'dish' NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe` ADD `menu_price_minor` integer;--> statement-breakpoint
ALTER TABLE `recipe` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe_version` ADD `reason` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `diets` text DEFAULT '[]' NOT NULL;