ALTER TABLE `sellers` ADD `market` text;--> statement-breakpoint
ALTER TABLE `sellers` ADD `market_key` text;