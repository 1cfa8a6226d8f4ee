ALTER TABLE `house_code` ADD `display_c` real DEFAULT 5 NOT NULL;--> statement-breakpoint
ALTER TABLE `house_code` ADD `life` text DEFAULT '{"chilled_days":5,"frozen_days":90,"opened_days":1,"thawed_days":1}' NOT NULL;--> statement-breakpoint
ALTER TABLE `house_code` ADD `limits_f` text;--> statement-breakpoint
ALTER TABLE `house_code` ADD `only_f` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `reading` ADD `unit` text;--> statement-breakpoint
UPDATE `house_code` SET `display_c` = `keep_cold_c`;--> statement-breakpoint
UPDATE `house` SET `house_code` = 'twoStage60at75' WHERE `house_code` = 'twoStage60';--> statement-breakpoint
UPDATE `sitting` SET `house_code` = 'twoStage60at75' WHERE `house_code` = 'twoStage60';
