CREATE TABLE `placed_date` (
	`mark` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`as_issued` integer NOT NULL,
	`doc` blob NOT NULL
);
