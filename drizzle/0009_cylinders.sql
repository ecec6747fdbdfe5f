CREATE TABLE `blank` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `blank_reading` (
	`id` text PRIMARY KEY NOT NULL,
	`blank_id` text NOT NULL,
	`at` integer NOT NULL,
	`value` real NOT NULL,
	`temp_c` real NOT NULL,
	FOREIGN KEY (`blank_id`) REFERENCES `blank`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `blank_reading_blank` ON `blank_reading` (`blank_id`);--> statement-breakpoint
CREATE TABLE `gauge` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`no` integer NOT NULL,
	`at` integer NOT NULL,
	`value` real,
	`temp_c` real,
	`simulated` integer NOT NULL,
	FOREIGN KEY (`run_id`) REFERENCES `run`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `gauge_run` ON `gauge` (`run_id`);--> statement-breakpoint
ALTER TABLE `test` ADD `cylinder` text;