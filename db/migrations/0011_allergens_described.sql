ALTER TABLE `ingredient` ADD `described` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe_listing` ADD `may_contain` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `recipe_listing` ADD `not_known` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
-- Every recipe is listed anew at the next start, with what it may contain.
DELETE FROM `recipe_listing`;
