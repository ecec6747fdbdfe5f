CREATE TABLE `top_reading` (
	`id` text PRIMARY KEY NOT NULL,
	`run_id` text NOT NULL,
	`at` integer NOT NULL,
	`height_mm` real NOT NULL,
	`height_text` text NOT NULL,
	`water` text,
	FOREIGN KEY (`run_id`) REFERENCES `run`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `top_reading_run` ON `top_reading` (`run_id`);