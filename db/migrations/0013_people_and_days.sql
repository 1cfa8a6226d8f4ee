CREATE TABLE `cook` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`opens_min` integer NOT NULL,
	`closes_min` integer NOT NULL,
	`does` text DEFAULT '[]' NOT NULL,
	`retired` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `day_change` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`date` text NOT NULL,
	`change` text,
	`takes_back` integer,
	`at` integer NOT NULL,
	`who` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `day_change_date` ON `day_change` (`date`);--> statement-breakpoint
CREATE TABLE `day_issue` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`date` text NOT NULL,
	`doc` text NOT NULL,
	`at` integer NOT NULL,
	`who` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `day_issue_date` ON `day_issue` (`date`);--> statement-breakpoint
CREATE TABLE `standing_place` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`capacity` integer NOT NULL,
	`retired` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TRIGGER `day_change_is_never_changed` BEFORE UPDATE ON `day_change`
BEGIN SELECT RAISE(ABORT, 'what is told of a day is only added to'); END;
--> statement-breakpoint
CREATE TRIGGER `day_change_is_never_removed` BEFORE DELETE ON `day_change`
BEGIN SELECT RAISE(ABORT, 'what is told of a day is only added to'); END;
--> statement-breakpoint
CREATE TRIGGER `day_issue_is_never_changed` BEFORE UPDATE ON `day_issue`
BEGIN SELECT RAISE(ABORT, 'an issued day never changes'); END;
--> statement-breakpoint
CREATE TRIGGER `day_issue_is_never_removed` BEFORE DELETE ON `day_issue`
BEGIN SELECT RAISE(ABORT, 'an issued day is never removed'); END;
