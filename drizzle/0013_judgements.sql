CREATE TABLE `bed_profile` (
	`id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`version` integer NOT NULL,
	`definition` text,
	`retired_at` integer,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `bed_profile_key` ON `bed_profile` (`key`);--> statement-breakpoint
CREATE TABLE `judgement` (
	`id` text PRIMARY KEY NOT NULL,
	`test_id` text,
	`query` text NOT NULL,
	`kept` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`test_id`) REFERENCES `test`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `judgement_test` ON `judgement` (`test_id`);--> statement-breakpoint
CREATE TABLE `reminder` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`area_id` text,
	`litres` real,
	`due_at` integer NOT NULL,
	`every_ms` integer,
	`ended_at` integer,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`area_id`) REFERENCES `area`(`id`) ON UPDATE no action ON DELETE no action
);
