CREATE TABLE `shop` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	`at` text NOT NULL,
	`by` text
);
--> statement-breakpoint
CREATE INDEX `shop_kind` ON `shop` (`kind`,`seq`);--> statement-breakpoint
CREATE TABLE `summaries` (
	`engine_id` text NOT NULL,
	`units` text NOT NULL,
	`survey_id` text NOT NULL,
	`at` integer NOT NULL,
	`ticking` integer NOT NULL,
	`pressing` real NOT NULL,
	`words` text NOT NULL,
	`row` text NOT NULL,
	`work` text NOT NULL,
	PRIMARY KEY(`engine_id`, `units`),
	FOREIGN KEY (`engine_id`) REFERENCES `engines`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `summaries_pressing` ON `summaries` (`units`,`pressing`);--> statement-breakpoint
ALTER TABLE `releases` ADD `chain` text;--> statement-breakpoint
CREATE VIRTUAL TABLE `search` USING fts5(`text`, `kind` UNINDEXED, `engine_id` UNINDEXED, `survey_id` UNINDEXED, `place` UNINDEXED, tokenize = 'unicode61 remove_diacritics 2');
