CREATE TABLE `learner` (
	`id` text PRIMARY KEY NOT NULL,
	`lesson_id` text,
	`name` text NOT NULL,
	`group_name` text NOT NULL,
	`digest` text,
	`joined_at` integer NOT NULL,
	`seen_at` integer NOT NULL,
	`handed_in_at` integer,
	FOREIGN KEY (`lesson_id`) REFERENCES `lesson`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `learner_lesson` ON `learner` (`lesson_id`);--> statement-breakpoint
CREATE INDEX `learner_digest` ON `learner` (`digest`);--> statement-breakpoint
CREATE TABLE `learner_answer` (
	`id` text PRIMARY KEY NOT NULL,
	`learner_id` text NOT NULL,
	`no` integer NOT NULL,
	`drill` text,
	`level` integer,
	`seed` integer,
	`given` text NOT NULL,
	`score` text,
	`mark` integer,
	`at` integer NOT NULL,
	FOREIGN KEY (`learner_id`) REFERENCES `learner`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `learner_answer_learner` ON `learner_answer` (`learner_id`,`no`);--> statement-breakpoint
CREATE TABLE `lesson` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`title` text NOT NULL,
	`items` text NOT NULL,
	`seed` integer NOT NULL,
	`created_at` integer NOT NULL,
	`closed_at` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lesson_code_unique` ON `lesson` (`code`);