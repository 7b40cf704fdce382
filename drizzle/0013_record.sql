ALTER TABLE `cards` ADD `details` text;--> statement-breakpoint
ALTER TABLE `releases` ADD `collectibles` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `releases` ADD `hunts` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sections` ADD `details` text;