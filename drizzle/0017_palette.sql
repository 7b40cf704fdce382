CREATE TABLE `palette_finishes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`name` text NOT NULL,
	`look` text,
	`how_to_tell` text,
	`channel` text,
	`stock_pt` real,
	`shape` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `palette_finishes_key` ON `palette_finishes` (`key`);--> statement-breakpoint
ALTER TABLE `parallels` ADD `look` text;--> statement-breakpoint
ALTER TABLE `parallels` ADD `palette` text;--> statement-breakpoint
CREATE INDEX `parallels_palette` ON `parallels` (`palette`);