ALTER TABLE `pan_type` ADD `heat_w` integer;--> statement-breakpoint
ALTER TABLE `sitting_dish` ADD `ahead` integer;