CREATE TABLE `film` (
	`id` text PRIMARY KEY NOT NULL,
	`test_id` text NOT NULL,
	`run_id` text NOT NULL,
	`source` text NOT NULL,
	`strip` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`test_id`) REFERENCES `test`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`run_id`) REFERENCES `run`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `film_run` ON `film` (`run_id`);--> statement-breakpoint
CREATE TABLE `frame` (
	`id` text PRIMARY KEY NOT NULL,
	`film_id` text NOT NULL,
	`at` integer NOT NULL,
	`colours` text NOT NULL,
	FOREIGN KEY (`film_id`) REFERENCES `film`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `frame_film` ON `frame` (`film_id`,`at`);--> statement-breakpoint
ALTER TABLE `vessel` ADD `dome_mm` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `vessel` ADD `profile` text;--> statement-breakpoint
ALTER TABLE `vessel` ADD `graduation_ml` real;