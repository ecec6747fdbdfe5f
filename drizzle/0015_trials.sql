CREATE TABLE `trial` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`kind` text NOT NULL,
	`sample_id` text NOT NULL,
	`mix` text NOT NULL,
	`binder` text NOT NULL,
	`binder_pct` real NOT NULL,
	`water_pct` real,
	`pressure` text,
	`piston` text,
	`area_mm2` real,
	`box` text,
	`count` integer NOT NULL,
	`soaked` integer NOT NULL,
	`cure_days` real NOT NULL,
	`soak_days` real NOT NULL,
	`note` text NOT NULL,
	`formed_at` integer,
	`soaked_at` integer,
	`cared` text NOT NULL,
	`finished_at` integer,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`sample_id`) REFERENCES `sample`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `trial_code_unique` ON `trial` (`code`);--> statement-breakpoint
CREATE INDEX `trial_sample` ON `trial` (`sample_id`);--> statement-breakpoint
CREATE TABLE `trial_piece` (
	`id` text PRIMARY KEY NOT NULL,
	`trial_id` text NOT NULL,
	`no` integer NOT NULL,
	`seen` text NOT NULL,
	`simulated` integer NOT NULL,
	`note` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`trial_id`) REFERENCES `trial`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `trial_piece_no` ON `trial_piece` (`trial_id`,`no`);