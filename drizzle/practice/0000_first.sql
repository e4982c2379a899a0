CREATE TABLE `attempts` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`code` text NOT NULL,
	`number` integer NOT NULL,
	`who` text NOT NULL,
	`started_at` text NOT NULL,
	`statement` text,
	`ended_at` text,
	`result` text
);
--> statement-breakpoint
CREATE INDEX `attempts_code` ON `attempts` (`kind`,`code`);--> statement-breakpoint
CREATE INDEX `attempts_who` ON `attempts` (`who`);--> statement-breakpoint
CREATE TABLE `deeds` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`attempt_id` text NOT NULL,
	`deed` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`attempt_id`) REFERENCES `attempts`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `deeds_attempt` ON `deeds` (`attempt_id`,`seq`);