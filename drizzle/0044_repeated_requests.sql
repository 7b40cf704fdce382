ALTER TABLE `journal` ADD `request` text;--> statement-breakpoint
CREATE INDEX `journal_request` ON `journal` (`request`) WHERE "journal"."request" is not null;