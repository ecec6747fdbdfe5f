CREATE TABLE `area` (
	`id` text PRIMARY KEY NOT NULL,
	`site_id` text NOT NULL,
	`code` text NOT NULL,
	`name` text NOT NULL,
	`purpose` text NOT NULL,
	`history` text NOT NULL,
	`note` text NOT NULL,
	`outline` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`site_id`) REFERENCES `site`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `area_code_unique` ON `area` (`code`);--> statement-breakpoint
CREATE INDEX `area_site` ON `area` (`site_id`);--> statement-breakpoint
CREATE TABLE `photo` (
	`id` text PRIMARY KEY NOT NULL,
	`file_id` text NOT NULL,
	`subject` text NOT NULL,
	`subject_id` text NOT NULL,
	`caption` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`file_id`) REFERENCES `photo_file`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photo_subject` ON `photo` (`subject`,`subject_id`);--> statement-breakpoint
CREATE TABLE `photo_file` (
	`id` text PRIMARY KEY NOT NULL,
	`bytes` blob NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`taken_text` text,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `site` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`sketch` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `spot` (
	`id` text PRIMARY KEY NOT NULL,
	`area_id` text NOT NULL,
	`no` integer NOT NULL,
	`x` real NOT NULL,
	`y` real NOT NULL,
	`taken_at` integer,
	`depth_from` text,
	`depth_to` text,
	`note` text NOT NULL,
	FOREIGN KEY (`area_id`) REFERENCES `area`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `spot_area` ON `spot` (`area_id`);--> statement-breakpoint
ALTER TABLE `sample` ADD `area_id` text REFERENCES area(id);--> statement-breakpoint
ALTER TABLE `sample` ADD `spot_ids` text DEFAULT '[]' NOT NULL;