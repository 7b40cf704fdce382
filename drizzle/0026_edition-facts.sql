ALTER TABLE `edition_cards` ADD `marks` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `edition_cards` ADD `tags` text;--> statement-breakpoint
DELETE FROM `edition_cards`;
