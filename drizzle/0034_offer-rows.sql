CREATE TABLE `offer_rows` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`seller_id` integer NOT NULL,
	`source` text NOT NULL,
	`reason` text NOT NULL,
	`row` text NOT NULL,
	FOREIGN KEY (`seller_id`) REFERENCES `sellers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `offer_rows_seller` ON `offer_rows` (`seller_id`);