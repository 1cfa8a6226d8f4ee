ALTER TABLE `house` ADD `hob_power_w` integer DEFAULT 3000 NOT NULL;--> statement-breakpoint
ALTER TABLE `pan_type` ADD `low_mark_mm` integer;--> statement-breakpoint
ALTER TABLE `pan_type` ADD `low_mark_ml` integer;--> statement-breakpoint
ALTER TABLE `pan_type` ADD `high_mark_mm` integer;--> statement-breakpoint
ALTER TABLE `pan_type` ADD `high_mark_ml` integer;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `pan_wishes` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `line` text;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `colour` text;