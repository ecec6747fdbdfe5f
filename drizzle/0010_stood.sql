ALTER TABLE `run` ADD `stood` text;--> statement-breakpoint
ALTER TABLE `run` ADD `passed` text DEFAULT '[]' NOT NULL;