CREATE TABLE `invite` (
	`id` text PRIMARY KEY NOT NULL,
	`role` text NOT NULL,
	`who` text NOT NULL,
	`created_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	`used_at` integer
);
--> statement-breakpoint
CREATE TABLE `person` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`digest` text,
	`created_at` integer NOT NULL,
	`ended_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `person_name_unique` ON `person` (`name`);--> statement-breakpoint
ALTER TABLE `outcome` ADD `people` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `session` ADD `person_id` text REFERENCES person(id);--> statement-breakpoint
ALTER TABLE `session` ADD `device` text DEFAULT '' NOT NULL;