CREATE TABLE `declaration_change` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer NOT NULL,
	`who` text NOT NULL,
	`confirmed_by` text NOT NULL,
	`what` text NOT NULL,
	`lowered` text NOT NULL,
	`before` text,
	`takes_back` integer
);
