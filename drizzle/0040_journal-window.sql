ALTER TABLE `journal` ADD `window` text;--> statement-breakpoint
CREATE INDEX `journal_window` ON `journal` (`window`,`state`,`id`);