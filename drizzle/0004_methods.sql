CREATE TABLE `method` (
	`id` text PRIMARY KEY NOT NULL,
	`key` text NOT NULL,
	`version` integer NOT NULL,
	`definition` text NOT NULL,
	`own` integer NOT NULL,
	`retired_at` integer,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `method_key` ON `method` (`key`,`version`);--> statement-breakpoint
ALTER TABLE `test` ADD `marks` text;