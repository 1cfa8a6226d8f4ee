CREATE TABLE `day_figures` (
	`number` integer PRIMARY KEY NOT NULL,
	`doc` blob NOT NULL,
	FOREIGN KEY (`number`) REFERENCES `day_issue`(`number`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TRIGGER `day_figures_are_never_changed` BEFORE UPDATE ON `day_figures`
BEGIN SELECT RAISE(ABORT, 'an issued day never changes'); END;
--> statement-breakpoint
CREATE TRIGGER `day_figures_are_never_removed` BEFORE DELETE ON `day_figures`
BEGIN SELECT RAISE(ABORT, 'an issued day is never removed'); END;
