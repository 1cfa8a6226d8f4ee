CREATE TABLE `reading` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`watch` integer NOT NULL,
	`at` integer NOT NULL,
	`received` integer NOT NULL,
	`hundredths_c` integer NOT NULL,
	`who` text,
	`hash` blob NOT NULL
);
--> statement-breakpoint
CREATE INDEX `reading_watch` ON `reading` (`watch`,`at`,`hundredths_c`);--> statement-breakpoint
CREATE TABLE `record` (
	`number` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`client_id` text NOT NULL,
	`at` integer NOT NULL,
	`written_at` integer NOT NULL,
	`who` text NOT NULL,
	`kind` text NOT NULL,
	`lot` integer,
	`watch` integer,
	`doc` text NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `record_client` ON `record` (`client_id`);--> statement-breakpoint
CREATE INDEX `record_lot` ON `record` (`lot`);--> statement-breakpoint
CREATE INDEX `record_watch` ON `record` (`watch`);--> statement-breakpoint
CREATE INDEX `record_kind` ON `record` (`kind`,`at`);--> statement-breakpoint
ALTER TABLE `house` ADD `chilled_days` integer DEFAULT 5 NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `frozen_days` integer DEFAULT 90 NOT NULL;--> statement-breakpoint
ALTER TABLE `house` ADD `opened_days` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE TRIGGER `record_is_never_changed` BEFORE UPDATE ON `record`
BEGIN SELECT RAISE(ABORT, 'the record is only added to'); END;
--> statement-breakpoint
CREATE TRIGGER `record_is_never_removed` BEFORE DELETE ON `record`
BEGIN SELECT RAISE(ABORT, 'the record is only added to'); END;
--> statement-breakpoint
CREATE TRIGGER `reading_is_never_changed` BEFORE UPDATE ON `reading`
BEGIN SELECT RAISE(ABORT, 'readings are only added'); END;
--> statement-breakpoint
CREATE TRIGGER `reading_is_never_removed` BEFORE DELETE ON `reading`
BEGIN SELECT RAISE(ABORT, 'readings are only added'); END;
