CREATE TABLE `judging_profile` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`key` text NOT NULL,
	`version` integer NOT NULL,
	`definition` text,
	`retired_at` integer,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `judging_profile_key` ON `judging_profile` (`kind`,`key`);--> statement-breakpoint
INSERT INTO `judging_profile` SELECT 'bed:' || `id`, 'bed', `key`, `version`, `definition`, `retired_at`, `created_at` FROM `bed_profile`;--> statement-breakpoint
DROP TABLE `bed_profile`;