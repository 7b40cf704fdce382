CREATE TABLE `box_cards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`divider_id` integer NOT NULL,
	`copy_id` integer NOT NULL,
	`quantity` integer NOT NULL,
	`um` integer NOT NULL,
	`mg` integer NOT NULL,
	FOREIGN KEY (`divider_id`) REFERENCES `dividers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "box_cards_quantity" CHECK("box_cards"."quantity" >= 1)
);
--> statement-breakpoint
CREATE UNIQUE INDEX `box_cards_place` ON `box_cards` (`divider_id`,`copy_id`);--> statement-breakpoint
CREATE INDEX `box_cards_copy` ON `box_cards` (`copy_id`);--> statement-breakpoint
CREATE TABLE `boxes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`shelf_id` integer,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`use` text NOT NULL,
	FOREIGN KEY (`shelf_id`) REFERENCES `shelves`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `boxes_shelf` ON `boxes` (`shelf_id`);--> statement-breakpoint
CREATE TABLE `discrepancies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sort` text NOT NULL,
	`divider_id` integer,
	`copy_id` integer,
	`version` text NOT NULL,
	`quantity` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`divider_id`) REFERENCES `dividers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `discrepancies_divider` ON `discrepancies` (`divider_id`);--> statement-breakpoint
CREATE INDEX `discrepancies_copy` ON `discrepancies` (`copy_id`);--> statement-breakpoint
CREATE TABLE `dividers` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`box_id` integer NOT NULL,
	`row` integer NOT NULL,
	`position` integer NOT NULL,
	`label` text NOT NULL,
	`release_id` integer,
	`checked_at` text,
	FOREIGN KEY (`box_id`) REFERENCES `boxes`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `dividers_box` ON `dividers` (`box_id`);--> statement-breakpoint
CREATE INDEX `dividers_release` ON `dividers` (`release_id`);--> statement-breakpoint
CREATE TABLE `preferences` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `preferences_key_unique` ON `preferences` (`key`);--> statement-breakpoint
CREATE TABLE `shelves` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`room` text NOT NULL,
	`unit` text NOT NULL,
	`level` integer NOT NULL,
	`length_mm` integer NOT NULL,
	`rating_g` integer
);
--> statement-breakpoint
CREATE UNIQUE INDEX `shelves_place` ON `shelves` (`room`,`unit`,`level`);--> statement-breakpoint
CREATE TABLE `slip_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`slip_id` integer NOT NULL,
	`copy_id` integer NOT NULL,
	`quantity` integer NOT NULL,
	`state` text NOT NULL,
	FOREIGN KEY (`slip_id`) REFERENCES `slips`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `slip_lines_slip` ON `slip_lines` (`slip_id`);--> statement-breakpoint
CREATE INDEX `slip_lines_copy` ON `slip_lines` (`copy_id`);--> statement-breakpoint
CREATE TABLE `slips` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sort` text NOT NULL,
	`name` text NOT NULL,
	`created_at` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `binders` ADD `shelf_id` integer REFERENCES shelves(id);--> statement-breakpoint
ALTER TABLE `copies` ADD `holder` text;--> statement-breakpoint
CREATE INDEX `copies_holder` ON `copies` (`holder`) WHERE "copies"."holder" is not null;--> statement-breakpoint
ALTER TABLE `releases` ADD `theme` text;