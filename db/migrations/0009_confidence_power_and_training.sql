CREATE TABLE `training_answer` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer DEFAULT (unixepoch() * 1000) NOT NULL,
	`who` text NOT NULL,
	`seed` integer NOT NULL,
	`position` integer NOT NULL,
	`change` text NOT NULL,
	`quantity` text NOT NULL,
	`said` text NOT NULL,
	`was` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `training_answer_once` ON `training_answer` (`who`,`seed`,`position`,`quantity`);--> statement-breakpoint
ALTER TABLE `house` ADD `confidence_pct` integer DEFAULT 90 NOT NULL;--> statement-breakpoint
ALTER TABLE `oven` ADD `power_w` integer;