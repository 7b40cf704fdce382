CREATE TABLE `opened_piles` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`opening_id` integer NOT NULL,
	`packs` integer NOT NULL,
	`line` text NOT NULL,
	`pulls` text NOT NULL,
	FOREIGN KEY (`opening_id`) REFERENCES `openings`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "opened_piles_packs" CHECK("opened_piles"."packs" >= 1)
);
--> statement-breakpoint
CREATE INDEX `opened_piles_opening` ON `opened_piles` (`opening_id`);--> statement-breakpoint
CREATE TABLE `openings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`pack_type` text NOT NULL,
	`name` text NOT NULL,
	`opened_on` text NOT NULL,
	`pack_minor` integer,
	`currency` text NOT NULL,
	`share_rules` text,
	`keeper` text,
	`shared_on` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `openings_release` ON `openings` (`release_id`);--> statement-breakpoint
CREATE TABLE `sealed_lots` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`pack_type` text NOT NULL,
	`unit` text NOT NULL,
	`quantity` integer NOT NULL,
	`cost_minor` integer,
	`value_minor` integer,
	`currency` text NOT NULL,
	`trust` text NOT NULL,
	`source` text,
	`place` text,
	`acquired_on` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "sealed_lots_quantity" CHECK("sealed_lots"."quantity" >= 1)
);
--> statement-breakpoint
CREATE INDEX `sealed_lots_release` ON `sealed_lots` (`release_id`);