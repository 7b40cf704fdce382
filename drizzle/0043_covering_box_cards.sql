DROP INDEX `box_cards_copy`;--> statement-breakpoint
CREATE INDEX `box_cards_copy` ON `box_cards` (`copy_id`,`quantity`);