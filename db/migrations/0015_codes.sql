CREATE TABLE `house_code` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`source` text NOT NULL,
	`dated` text NOT NULL,
	`cooling` text NOT NULL,
	`hold_hot_c` real NOT NULL,
	`reheat` text NOT NULL,
	`retired` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
ALTER TABLE `sitting` ADD `house_code` text;--> statement-breakpoint
ALTER TABLE `sitting` ADD `code_reason` text DEFAULT '' NOT NULL;