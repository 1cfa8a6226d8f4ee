ALTER TABLE `house_code` ADD `keep_cold_c` real DEFAULT 5 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `carry` text;--> statement-breakpoint
ALTER TABLE `standing_place` ADD `loses_w_per_k` real;