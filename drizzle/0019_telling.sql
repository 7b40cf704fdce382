CREATE TABLE `block_notes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`binder_id` integer NOT NULL,
	`block` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`binder_id`) REFERENCES `binders`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `block_notes_block` ON `block_notes` (`binder_id`,`block`);--> statement-breakpoint
ALTER TABLE `photos` ADD `side` text;