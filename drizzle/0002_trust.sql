CREATE TABLE `access` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `owner_links` (
	`id` text PRIMARY KEY NOT NULL,
	`secret` text NOT NULL,
	`engine_id` text NOT NULL,
	`created_at` text NOT NULL,
	`by` text,
	`withdrawn_at` text,
	FOREIGN KEY (`engine_id`) REFERENCES `engines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `owner_links_secret_unique` ON `owner_links` (`secret`);--> statement-breakpoint
CREATE INDEX `owner_links_engine` ON `owner_links` (`engine_id`);--> statement-breakpoint
CREATE TABLE `people` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`pin` text NOT NULL,
	`created_at` text NOT NULL,
	`by` text,
	`removed_at` text
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`person_id` text,
	`person_seen` integer,
	FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `facts` ADD `clock` integer;--> statement-breakpoint
ALTER TABLE `releases` ADD `seq` integer;--> statement-breakpoint
ALTER TABLE `releases` ADD `version` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `releases` ADD `seal` text;--> statement-breakpoint
ALTER TABLE `surveys` ADD `seq` integer;--> statement-breakpoint
UPDATE `surveys` SET `seq` = `rowid`;--> statement-breakpoint
UPDATE `releases` SET `seq` = (SELECT count(*) FROM `releases` AS `r` WHERE `r`.`rowid` <= `releases`.`rowid`);--> statement-breakpoint
CREATE UNIQUE INDEX `releases_seq` ON `releases` (`seq`);
