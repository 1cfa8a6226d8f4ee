ALTER TABLE `house_code` ADD `coming_up_min` integer DEFAULT 180 NOT NULL;--> statement-breakpoint
ALTER TABLE `house_code` ADD `kill` text DEFAULT 'seventy' NOT NULL;