CREATE TABLE `binder_pockets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`binder_id` integer NOT NULL,
	`pocket` text NOT NULL,
	`slot_key` text NOT NULL,
	`copy_id` integer NOT NULL,
	FOREIGN KEY (`binder_id`) REFERENCES `binders`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `binder_pockets_pocket` ON `binder_pockets` (`binder_id`,`pocket`);--> statement-breakpoint
CREATE INDEX `binder_pockets_copy` ON `binder_pockets` (`copy_id`);--> statement-breakpoint
CREATE TABLE `own_kinds` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sort` text NOT NULL,
	`key` text NOT NULL,
	`kind` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `own_kinds_key` ON `own_kinds` (`sort`,`key`);--> statement-breakpoint
CREATE TABLE `supply_prices` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`price_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`pack_of` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `supply_prices_key` ON `supply_prices` (`key`);