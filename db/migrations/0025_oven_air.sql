ALTER TABLE `oven` ADD `runs_hot_k` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `oven` ADD `fan` text DEFAULT 'usual' NOT NULL;--> statement-breakpoint
ALTER TABLE `oven` ADD `opened_h` real;