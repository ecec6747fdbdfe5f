CREATE TABLE `lab_report` (
	`id` text PRIMARY KEY NOT NULL,
	`sample_id` text NOT NULL,
	`lab` text NOT NULL,
	`reported_on` text,
	`sand` real NOT NULL,
	`silt` real NOT NULL,
	`clay` real NOT NULL,
	`sand_limit_um` real NOT NULL,
	`organic_pct` real,
	`note` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`sample_id`) REFERENCES `sample`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lab_report_sample` ON `lab_report` (`sample_id`);