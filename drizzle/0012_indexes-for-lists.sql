CREATE INDEX `cards_group` ON `cards` (`card_group`) WHERE "cards"."card_group" is not null;--> statement-breakpoint
CREATE INDEX `cards_subjects` ON `cards` (`subjects`) WHERE "cards"."subjects" <> '[]';--> statement-breakpoint
CREATE INDEX `copies_value` ON `copies` (`value_minor`) WHERE "copies"."value_minor" > 0;