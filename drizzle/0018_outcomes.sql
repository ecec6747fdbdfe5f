CREATE TABLE `outcome` (
	`test_id` text PRIMARY KEY NOT NULL,
	`rule` integer NOT NULL,
	`binned` integer NOT NULL,
	`at` integer NOT NULL,
	`code_key` text NOT NULL,
	`class_key` text NOT NULL,
	`words` text NOT NULL,
	`sample_id` text NOT NULL,
	`area_id` text,
	`site_id` text,
	`year` text NOT NULL,
	`method_key` text NOT NULL,
	`purpose` text NOT NULL,
	`status` text NOT NULL,
	`trouble` integer NOT NULL,
	`alone` text,
	`sand_pct` integer,
	`clay_pct` integer,
	`line` text,
	`point` text,
	FOREIGN KEY (`test_id`) REFERENCES `test`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `outcome_date` ON `outcome` (`binned`,`at`,`test_id`);--> statement-breakpoint
CREATE INDEX `outcome_code` ON `outcome` (`binned`,`code_key`,`at`);--> statement-breakpoint
CREATE INDEX `outcome_class` ON `outcome` (`binned`,`class_key`,`code_key`);--> statement-breakpoint
CREATE INDEX `outcome_words` ON `outcome` (`binned`,`words`);--> statement-breakpoint
CREATE INDEX `outcome_filter` ON `outcome` (`binned`,`site_id`,`area_id`,`year`,`method_key`,`class_key`,`purpose`,`status`,`trouble`);--> statement-breakpoint
CREATE INDEX `outcome_sample` ON `outcome` (`sample_id`);--> statement-breakpoint
CREATE INDEX `outcome_area` ON `outcome` (`area_id`);--> statement-breakpoint
CREATE INDEX `outcome_alone` ON `outcome` (`binned`,`alone`,`at`);--> statement-breakpoint
CREATE INDEX `outcome_points` ON `outcome` (`binned`,`sand_pct`,`clay_pct`,`year`,`method_key`,`site_id`,`area_id`);--> statement-breakpoint
CREATE TABLE `outcome_stale` (
	`test_id` text PRIMARY KEY NOT NULL
);
--> statement-breakpoint
CREATE TABLE `log_view` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`query` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `log_view_name_unique` ON `log_view` (`name`);