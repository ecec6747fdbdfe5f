CREATE TABLE `table_import` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`digest` text NOT NULL,
	`who` text NOT NULL,
	`started_at` integer NOT NULL,
	`moved_at` integer NOT NULL,
	`rows` integer NOT NULL,
	`done` integer NOT NULL,
	`finished_at` integer,
	`undone_at` integer,
	`stayed` integer
);
--> statement-breakpoint
ALTER TABLE `sample` ADD `import_id` text;--> statement-breakpoint
CREATE INDEX `sample_import` ON `sample` (`import_id`);--> statement-breakpoint
ALTER TABLE `outcome` ADD `import_id` text;--> statement-breakpoint
CREATE INDEX `outcome_import` ON `outcome` (`import_id`);--> statement-breakpoint
ALTER TABLE `test` ADD `import_id` text;--> statement-breakpoint
CREATE INDEX `test_import` ON `test` (`import_id`);