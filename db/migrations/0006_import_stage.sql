CREATE TABLE `import_stage` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`text` text NOT NULL,
	`at` integer NOT NULL,
	`who` text NOT NULL
);
