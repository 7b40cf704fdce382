ALTER TABLE `edition_cards` ADD `sort_as` text;--> statement-breakpoint
-- Worked out anew when the collection is opened, now with what they are sorted as.
DELETE FROM `edition_cards`;
