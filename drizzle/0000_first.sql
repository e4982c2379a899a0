CREATE TABLE `engines` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `entries` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`survey_id` text NOT NULL,
	`type` text NOT NULL,
	`body` text NOT NULL,
	`received_at` text NOT NULL,
	FOREIGN KEY (`survey_id`) REFERENCES `surveys`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `entries_id_unique` ON `entries` (`id`);--> statement-breakpoint
CREATE INDEX `entries_survey` ON `entries` (`survey_id`,`seq`);--> statement-breakpoint
CREATE TABLE `facts` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`id` text NOT NULL,
	`engine_id` text NOT NULL,
	`path` text NOT NULL,
	`value` text,
	`at` text NOT NULL,
	`by` text,
	FOREIGN KEY (`engine_id`) REFERENCES `engines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `facts_id_unique` ON `facts` (`id`);--> statement-breakpoint
CREATE INDEX `facts_engine` ON `facts` (`engine_id`,`seq`);--> statement-breakpoint
CREATE TABLE `house_rules` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`body` text NOT NULL,
	`at` text NOT NULL,
	`by` text
);
--> statement-breakpoint
CREATE TABLE `instruments` (
	`id` text PRIMARY KEY NOT NULL,
	`body` text NOT NULL,
	`created_at` text NOT NULL,
	`retired_at` text
);
--> statement-breakpoint
CREATE TABLE `releases` (
	`id` text PRIMARY KEY NOT NULL,
	`survey_id` text NOT NULL,
	`signed_by` text NOT NULL,
	`at` text NOT NULL,
	`hash` text NOT NULL,
	`record` text NOT NULL,
	FOREIGN KEY (`survey_id`) REFERENCES `surveys`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `surveys` (
	`id` text PRIMARY KEY NOT NULL,
	`engine_id` text NOT NULL,
	`kind` text NOT NULL,
	`started_at` text NOT NULL,
	`by` text,
	FOREIGN KEY (`engine_id`) REFERENCES `engines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `surveys_engine` ON `surveys` (`engine_id`);