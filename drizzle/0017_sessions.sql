CREATE TABLE `session` (
	`id` text PRIMARY KEY NOT NULL,
	`door` text NOT NULL,
	`created_at` integer NOT NULL,
	`seen_at` integer NOT NULL
);
