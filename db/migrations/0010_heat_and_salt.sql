ALTER TABLE `house` ADD `altitude_m` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `gives_water` real;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `takes_room` integer;--> statement-breakpoint
ALTER TABLE `ingredient` ADD `salt_pct` real;