CREATE TABLE `folder` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`sender` text NOT NULL,
	`received_on` text,
	`note` text NOT NULL,
	`items` text NOT NULL,
	`created_at` integer NOT NULL
);
