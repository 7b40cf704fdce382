CREATE TABLE `pile_cards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`pile_id` integer NOT NULL,
	`copy_id` integer NOT NULL,
	`version` text NOT NULL,
	`line` text NOT NULL,
	`next` text NOT NULL,
	`verdict` text NOT NULL,
	FOREIGN KEY (`pile_id`) REFERENCES `tray_piles`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pile_cards_pile` ON `pile_cards` (`pile_id`);--> statement-breakpoint
CREATE INDEX `pile_cards_copy` ON `pile_cards` (`copy_id`);--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `is_estimate` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `length_um` integer;--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `shelf_id` integer REFERENCES shelves(id);--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `place` text;--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `year` text;--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `maker` text;--> statement-breakpoint
ALTER TABLE `tray_piles` ADD `drawn` text;--> statement-breakpoint
CREATE INDEX `tray_piles_shelf` ON `tray_piles` (`shelf_id`);