CREATE TABLE `card_subjects` (
	`subject` text NOT NULL,
	`card_id` integer NOT NULL,
	PRIMARY KEY(`subject`, `card_id`),
	FOREIGN KEY (`card_id`) REFERENCES `cards`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `card_subjects_card` ON `card_subjects` (`card_id`);--> statement-breakpoint
DROP INDEX `cards_subjects`;--> statement-breakpoint
CREATE INDEX `copies_house` ON `copies` (`house`) WHERE "copies"."house" is not null;--> statement-breakpoint
CREATE INDEX `submission_cards_outing` ON `submission_cards` (`outing_id`);--> statement-breakpoint
CREATE INDEX `order_lines_claimed` ON `order_lines` (`order_id`) WHERE "order_lines"."settled_on" is null and "order_lines"."asked_minor" > 0;--> statement-breakpoint
CREATE INDEX `slip_lines_state` ON `slip_lines` (`state`,`slip_id`);--> statement-breakpoint
CREATE INDEX `variants_pieces` ON `variants` (`release_id`) WHERE "variants"."rule" ->> 'kind' = 'piece';--> statement-breakpoint
INSERT OR IGNORE INTO `card_subjects` (`subject`, `card_id`) SELECT s.`value`, c.`id` FROM `cards` c, json_each(c.`subjects`) s WHERE c.`subjects` <> '[]';
--> statement-breakpoint
CREATE TRIGGER `cards_shown_new` AFTER INSERT ON `cards` WHEN new.`subjects` <> '[]' BEGIN
	INSERT OR IGNORE INTO `card_subjects` (`subject`, `card_id`) SELECT `value`, new.`id` FROM json_each(new.`subjects`);
END;
--> statement-breakpoint
CREATE TRIGGER `cards_shown_changed` AFTER UPDATE OF `subjects` ON `cards` WHEN new.`subjects` <> old.`subjects` BEGIN
	DELETE FROM `card_subjects` WHERE `card_id` = new.`id`;
	INSERT OR IGNORE INTO `card_subjects` (`subject`, `card_id`) SELECT `value`, new.`id` FROM json_each(new.`subjects`);
END;
--> statement-breakpoint
CREATE TRIGGER `cards_shown_gone` AFTER DELETE ON `cards` BEGIN
	DELETE FROM `card_subjects` WHERE `card_id` = old.`id`;
END;
