CREATE TABLE `divider_sums` (
	`divider_id` integer PRIMARY KEY NOT NULL,
	`cards` integer NOT NULL,
	`um` real NOT NULL,
	`mg` integer NOT NULL,
	FOREIGN KEY (`divider_id`) REFERENCES `dividers`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `divider_sums` (`divider_id`, `cards`, `um`, `mg`)
SELECT `divider_id`, sum(`quantity`), sum(`quantity` * `um`), sum(`quantity` * `mg`) FROM `box_cards` GROUP BY `divider_id`;
--> statement-breakpoint
CREATE TRIGGER `box_cards_summed_new` AFTER INSERT ON `box_cards` BEGIN
	INSERT INTO `divider_sums` (`divider_id`, `cards`, `um`, `mg`)
	VALUES (new.`divider_id`, new.`quantity`, new.`quantity` * new.`um`, new.`quantity` * new.`mg`)
	ON CONFLICT (`divider_id`) DO UPDATE SET
		`cards` = `cards` + excluded.`cards`, `um` = `um` + excluded.`um`, `mg` = `mg` + excluded.`mg`;
END;
--> statement-breakpoint
CREATE TRIGGER `box_cards_summed_gone` AFTER DELETE ON `box_cards` BEGIN
	UPDATE `divider_sums` SET
		`cards` = `cards` - old.`quantity`,
		`um` = `um` - old.`quantity` * old.`um`,
		`mg` = `mg` - old.`quantity` * old.`mg`
	WHERE `divider_id` = old.`divider_id`;
	DELETE FROM `divider_sums` WHERE `divider_id` = old.`divider_id` AND `cards` = 0;
END;
--> statement-breakpoint
CREATE TRIGGER `box_cards_summed_anew` AFTER UPDATE ON `box_cards` BEGIN
	UPDATE `divider_sums` SET
		`cards` = `cards` - old.`quantity`,
		`um` = `um` - old.`quantity` * old.`um`,
		`mg` = `mg` - old.`quantity` * old.`mg`
	WHERE `divider_id` = old.`divider_id`;
	INSERT INTO `divider_sums` (`divider_id`, `cards`, `um`, `mg`)
	VALUES (new.`divider_id`, new.`quantity`, new.`quantity` * new.`um`, new.`quantity` * new.`mg`)
	ON CONFLICT (`divider_id`) DO UPDATE SET
		`cards` = `cards` + excluded.`cards`, `um` = `um` + excluded.`um`, `mg` = `mg` + excluded.`mg`;
	DELETE FROM `divider_sums` WHERE `divider_id` = old.`divider_id` AND `cards` = 0;
END;
