-- One row a card, and one a copy that has words of its own; kept by triggers.
CREATE VIRTUAL TABLE `card_search` USING fts5(`words`, prefix = '2 3', tokenize = 'unicode61 remove_diacritics 2');
--> statement-breakpoint
CREATE VIRTUAL TABLE `copy_search` USING fts5(`words`, prefix = '2 3', tokenize = 'unicode61 remove_diacritics 2');
--> statement-breakpoint
INSERT INTO `card_search` (`rowid`, `words`)
SELECT c.`id`, coalesce(c.`number`, '') || ' ' || c.`other_numbers` || ' ' || c.`title` || ' ' || c.`subjects` || ' ' || coalesce(c.`card_group`, '') || ' ' || s.`name` || ' ' || r.`name` || ' ' || r.`year`
FROM `cards` c JOIN `sections` s ON s.`id` = c.`section_id` JOIN `releases` r ON r.`id` = c.`release_id`;
--> statement-breakpoint
CREATE TRIGGER `cards_found_new` AFTER INSERT ON `cards` BEGIN
	INSERT INTO `card_search` (`rowid`, `words`)
	SELECT new.`id`, coalesce(new.`number`, '') || ' ' || new.`other_numbers` || ' ' || new.`title` || ' ' || new.`subjects` || ' ' || coalesce(new.`card_group`, '') || ' ' || s.`name` || ' ' || r.`name` || ' ' || r.`year`
	FROM `sections` s JOIN `releases` r ON r.`id` = new.`release_id` WHERE s.`id` = new.`section_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `cards_found_changed` AFTER UPDATE ON `cards` BEGIN
	UPDATE `card_search` SET `words` = (
		SELECT coalesce(new.`number`, '') || ' ' || new.`other_numbers` || ' ' || new.`title` || ' ' || new.`subjects` || ' ' || coalesce(new.`card_group`, '') || ' ' || s.`name` || ' ' || r.`name` || ' ' || r.`year`
		FROM `sections` s JOIN `releases` r ON r.`id` = new.`release_id` WHERE s.`id` = new.`section_id`
	) WHERE `rowid` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `cards_found_gone` AFTER DELETE ON `cards` BEGIN
	DELETE FROM `card_search` WHERE `rowid` = old.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_new` AFTER INSERT ON `copies`
WHEN coalesce(new.`serial`, new.`certificate`, new.`place`, new.`note`, new.`source`) IS NOT NULL BEGIN
	INSERT INTO `copy_search` (`rowid`, `words`) VALUES (new.`id`, coalesce(new.`serial`, '') || ' ' || coalesce(new.`certificate`, '') || ' ' || coalesce(new.`place`, '') || ' ' || coalesce(new.`note`, '') || ' ' || coalesce(new.`source`, ''));
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_changed` AFTER UPDATE OF `serial`, `certificate`, `place`, `note`, `source` ON `copies` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` = old.`id`;
	INSERT INTO `copy_search` (`rowid`, `words`) VALUES (new.`id`, coalesce(new.`serial`, '') || ' ' || coalesce(new.`certificate`, '') || ' ' || coalesce(new.`place`, '') || ' ' || coalesce(new.`note`, '') || ' ' || coalesce(new.`source`, ''));
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_gone` AFTER DELETE ON `copies` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` = old.`id`;
END;
