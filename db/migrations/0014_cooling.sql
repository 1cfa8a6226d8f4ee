ALTER TABLE `sitting_dish` ADD `chill` text;--> statement-breakpoint
ALTER TABLE `standing_place` ADD `air_c` integer;--> statement-breakpoint
ALTER TABLE `standing_place` ADD `power_w` integer;