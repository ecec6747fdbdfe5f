CREATE TABLE `event` (
	`id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`received_at` integer NOT NULL,
	`who` text NOT NULL,
	`what` text NOT NULL,
	`test_id` text,
	`detail` text NOT NULL,
	`changes` text NOT NULL,
	`undone_at` integer
);
--> statement-breakpoint
CREATE INDEX `event_test` ON `event` (`test_id`,`received_at`);--> statement-breakpoint
CREATE TABLE `mark` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`layer` text NOT NULL,
	`at` integer NOT NULL,
	`height_mm` real,
	`height_text` text,
	FOREIGN KEY (`run_id`) REFERENCES `run`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `mark_run` ON `mark` (`run_id`);--> statement-breakpoint
CREATE TABLE `profile` (
	`id` text PRIMARY KEY NOT NULL,
	`settings` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `reading` (
	`id` text PRIMARY KEY NOT NULL,
	`test_id` text NOT NULL,
	`run_id` text,
	`at` integer NOT NULL,
	`entry` text NOT NULL,
	FOREIGN KEY (`test_id`) REFERENCES `test`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`run_id`) REFERENCES `run`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `reading_test` ON `reading` (`test_id`);--> statement-breakpoint
CREATE TABLE `result` (
	`id` text PRIMARY KEY NOT NULL,
	`test_id` text NOT NULL,
	`at` integer NOT NULL,
	`core_version` text NOT NULL,
	`snapshot` text NOT NULL,
	`reopened_at` integer,
	FOREIGN KEY (`test_id`) REFERENCES `test`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `result_test` ON `result` (`test_id`);--> statement-breakpoint
CREATE TABLE `run` (
	`id` text PRIMARY KEY NOT NULL,
	`test_id` text NOT NULL,
	`no` integer NOT NULL,
	`set_down_at` integer NOT NULL,
	`ended_at` integer,
	`end_reason` text,
	FOREIGN KEY (`test_id`) REFERENCES `test`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `run_test` ON `run` (`test_id`);--> statement-breakpoint
CREATE TABLE `sample` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`name` text NOT NULL,
	`purpose` text NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sample_code_unique` ON `sample` (`code`);--> statement-breakpoint
CREATE TABLE `test` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`sample_id` text NOT NULL,
	`vessel_id` text NOT NULL,
	`method_key` text NOT NULL,
	`method_version` integer NOT NULL,
	`temp_c` real NOT NULL,
	`soil_mm` real NOT NULL,
	`water_mm` real NOT NULL,
	`dispersant_ml` real NOT NULL,
	`note` text DEFAULT '' NOT NULL,
	`prep` text NOT NULL,
	`status` text NOT NULL,
	`created_at` integer NOT NULL,
	`finished_at` integer,
	`binned_at` integer,
	FOREIGN KEY (`sample_id`) REFERENCES `sample`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`vessel_id`) REFERENCES `vessel`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `test_status` ON `test` (`status`,`binned_at`);--> statement-breakpoint
CREATE INDEX `test_sample` ON `test` (`sample_id`);--> statement-breakpoint
CREATE TABLE `vessel` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`inner_height_mm` real NOT NULL,
	`inner_diameter_mm` real NOT NULL,
	`base_thickness_mm` real NOT NULL,
	`shoulder_height_mm` real NOT NULL,
	`mouth_diameter_mm` real NOT NULL,
	`created_at` integer NOT NULL
);
