CREATE TABLE `event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer DEFAULT (unixepoch() * 1000) NOT NULL,
	`who` text NOT NULL,
	`subject` text NOT NULL,
	`subject_id` text NOT NULL,
	`what` text NOT NULL,
	`version` integer NOT NULL,
	`changes` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `event_subject` ON `event` (`subject`,`subject_id`,`version`);--> statement-breakpoint
CREATE TABLE `house` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`time_zone` text NOT NULL,
	`units` text NOT NULL,
	`currency` text NOT NULL,
	`opens_min` integer NOT NULL,
	`closes_min` integer NOT NULL,
	`headspace_mm` integer NOT NULL,
	`lift_limit_g` integer NOT NULL,
	`house_code` text NOT NULL,
	`sear_pan_id` text,
	`burners` integer NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`sear_pan_id`) REFERENCES `pan_type`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `ingredient` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`density_g_per_ml` real,
	`each_g` real,
	`allergens` text NOT NULL,
	`price_per_kg_minor` integer,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `oven` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`rungs` integer NOT NULL,
	`pitch_mm` integer NOT NULL,
	`shelf` text NOT NULL,
	`min_c` integer NOT NULL,
	`max_c` integer NOT NULL,
	`retired` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `pan_type` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`gn` text,
	`length_mm` integer,
	`width_mm` integer,
	`diameter_mm` integer,
	`depth_mm` integer NOT NULL,
	`stock` integer NOT NULL,
	`use` text NOT NULL,
	`retired` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe_version` (
	`id` text PRIMARY KEY NOT NULL,
	`recipe_id` text NOT NULL,
	`number` integer NOT NULL,
	`doc` text NOT NULL,
	`created_at` integer NOT NULL,
	`created_by` text NOT NULL,
	FOREIGN KEY (`recipe_id`) REFERENCES `recipe`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `recipe_version_number` ON `recipe_version` (`recipe_id`,`number`);--> statement-breakpoint
CREATE TABLE `sitting` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`room` text NOT NULL,
	`service_at` integer NOT NULL,
	`covers` integer NOT NULL,
	`hands` integer NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`called_off` integer DEFAULT false NOT NULL,
	`version` integer DEFAULT 1 NOT NULL
);
--> statement-breakpoint
CREATE INDEX `sitting_service_at` ON `sitting` (`service_at`);--> statement-breakpoint
CREATE TABLE `sitting_dish` (
	`id` text PRIMARY KEY NOT NULL,
	`sitting_id` text NOT NULL,
	`recipe_version_id` text NOT NULL,
	`position` integer NOT NULL,
	`uptake` real NOT NULL,
	`spare` real NOT NULL,
	`basis` text DEFAULT 'covers' NOT NULL,
	`on_hand_g` integer,
	`pan_count` integer,
	`pan_type_id` text,
	FOREIGN KEY (`sitting_id`) REFERENCES `sitting`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`recipe_version_id`) REFERENCES `recipe_version`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`pan_type_id`) REFERENCES `pan_type`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sitting_dish_sitting` ON `sitting_dish` (`sitting_id`,`position`);