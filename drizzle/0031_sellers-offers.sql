CREATE TABLE `offer_bundles` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`seller_id` integer NOT NULL,
	`release_id` integer NOT NULL,
	`words` text NOT NULL,
	`minor` integer NOT NULL,
	`is_shipped` integer DEFAULT false NOT NULL,
	`items` text NOT NULL,
	`seen_on` text NOT NULL,
	FOREIGN KEY (`seller_id`) REFERENCES `sellers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `offer_bundles_seller` ON `offer_bundles` (`seller_id`);--> statement-breakpoint
CREATE INDEX `offer_bundles_release` ON `offer_bundles` (`release_id`);--> statement-breakpoint
CREATE TABLE `offers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`seller_id` integer NOT NULL,
	`release_id` integer NOT NULL,
	`version` text NOT NULL,
	`condition` text,
	`grade` real,
	`house` text,
	`quantity` integer NOT NULL,
	`breaks` text NOT NULL,
	`seen_on` text NOT NULL,
	`note` text,
	FOREIGN KEY (`seller_id`) REFERENCES `sellers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "offers_quantity" CHECK("offers"."quantity" >= 1)
);
--> statement-breakpoint
CREATE INDEX `offers_seller` ON `offers` (`seller_id`);--> statement-breakpoint
CREATE INDEX `offers_version` ON `offers` (`version`);--> statement-breakpoint
CREATE INDEX `offers_release` ON `offers` (`release_id`);--> statement-breakpoint
CREATE TABLE `sellers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`currency` text NOT NULL,
	`direct` text,
	`to_hub` text,
	`least_order_minor` integer,
	`days` integer,
	`days_to_hub` integer,
	`trust` integer,
	`note` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sellers_name_unique` ON `sellers` (`name`);