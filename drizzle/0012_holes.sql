CREATE TABLE `amendment` (
	`id` text PRIMARY KEY NOT NULL,
	`area_id` text NOT NULL,
	`done_on` text NOT NULL,
	`kind` text NOT NULL,
	`litres` real,
	`note` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`area_id`) REFERENCES `area`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `amendment_area` ON `amendment` (`area_id`);--> statement-breakpoint
CREATE TABLE `hole` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`area_id` text NOT NULL,
	`spot_id` text,
	`depth` text NOT NULL,
	`width` text NOT NULL,
	`notes` text NOT NULL,
	`note` text NOT NULL,
	`soaked_at` integer,
	`refilled_at` integer,
	`filled` text,
	`finished_at` integer,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`area_id`) REFERENCES `area`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`spot_id`) REFERENCES `spot`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `hole_code_unique` ON `hole` (`code`);--> statement-breakpoint
CREATE INDEX `hole_area` ON `hole` (`area_id`);--> statement-breakpoint
CREATE TABLE `hole_reading` (
	`id` text PRIMARY KEY NOT NULL,
	`hole_id` text NOT NULL,
	`at` integer NOT NULL,
	`seen` text NOT NULL,
	`height` text,
	FOREIGN KEY (`hole_id`) REFERENCES `hole`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `hole_reading_hole` ON `hole_reading` (`hole_id`);