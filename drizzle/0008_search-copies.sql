-- A copy is found by its finish, variant, attributes and words together with those of its card, and
-- `own` tells which of them are its own. A rename of a release, section, finish or variant is followed.
DROP TRIGGER `copies_found_new`;
--> statement-breakpoint
DROP TRIGGER `copies_found_changed`;
--> statement-breakpoint
DROP TRIGGER `copies_found_gone`;
--> statement-breakpoint
DROP TABLE `copy_search`;
--> statement-breakpoint
CREATE VIRTUAL TABLE `copy_search` USING fts5(`own`, `card`, prefix = '2 3', tokenize = 'unicode61 remove_diacritics 2');
--> statement-breakpoint
CREATE VIEW `copy_words` AS
SELECT c.`id` AS `id`, c.`release_id` AS `release_id`, c.`card_key` AS `card_key`, c.`parallel_key` AS `parallel_key`, c.`variant_key` AS `variant_key`,
	coalesce(p.`name`, c.`parallel_key`, '') || ' ' || coalesce(json_extract(v.`rule`, '$.name'), c.`variant_key`, '') || ' ' || coalesce(json_extract(v.`rule`, '$.kind'), '')
		|| ' ' || c.`attributes` || ' ' || coalesce(c.`serial`, '') || ' ' || coalesce(c.`house`, '') || ' ' || coalesce(c.`certificate`, '')
		|| ' ' || coalesce(c.`place`, '') || ' ' || coalesce(c.`note`, '') || ' ' || coalesce(c.`source`, '') AS `own`,
	coalesce(d.`number`, '') || ' ' || coalesce(d.`other_numbers`, '') || ' ' || coalesce(d.`title`, c.`card_key`) || ' ' || coalesce(d.`subjects`, '') || ' ' || coalesce(d.`card_group`, '')
		|| ' ' || coalesce(s.`name`, '') || ' ' || r.`name` || ' ' || r.`year` AS `card`
FROM `copies` c JOIN `releases` r ON r.`id` = c.`release_id`
	LEFT JOIN `cards` d ON d.`release_id` = c.`release_id` AND d.`key` = c.`card_key`
	LEFT JOIN `sections` s ON s.`id` = d.`section_id`
	LEFT JOIN `parallels` p ON p.`release_id` = c.`release_id` AND p.`key` = c.`parallel_key`
	LEFT JOIN `variants` v ON v.`release_id` = c.`release_id` AND v.`key` = c.`variant_key`
WHERE coalesce(c.`parallel_key`, c.`variant_key`, c.`serial`, c.`house`, c.`certificate`, c.`place`, c.`note`, c.`source`) IS NOT NULL OR c.`attributes` <> '[]';
--> statement-breakpoint
INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words`;
--> statement-breakpoint
CREATE TRIGGER `copies_found_new` AFTER INSERT ON `copies`
WHEN coalesce(new.`parallel_key`, new.`variant_key`, new.`serial`, new.`house`, new.`certificate`, new.`place`, new.`note`, new.`source`) IS NOT NULL OR new.`attributes` <> '[]' BEGIN
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `id` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_changed` AFTER UPDATE OF `release_id`, `card_key`, `parallel_key`, `variant_key`, `attributes`, `serial`, `house`, `certificate`, `place`, `note`, `source` ON `copies` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `id` = new.`id`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `id` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_gone` AFTER DELETE ON `copies` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` = old.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_card_new` AFTER INSERT ON `cards`
WHEN EXISTS (SELECT 1 FROM `copies` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`) BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`;
END;
--> statement-breakpoint
CREATE TRIGGER `copies_found_card_changed` AFTER UPDATE ON `cards`
WHEN EXISTS (SELECT 1 FROM `copies` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`) BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`;
END;
--> statement-breakpoint
CREATE TRIGGER `parallels_found_new` AFTER INSERT ON `parallels` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `parallel_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `parallel_key` = new.`key`;
END;
--> statement-breakpoint
CREATE TRIGGER `parallels_found_changed` AFTER UPDATE ON `parallels` WHEN old.`name` IS NOT new.`name` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `parallel_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `parallel_key` = new.`key`;
END;
--> statement-breakpoint
CREATE TRIGGER `variants_found_new` AFTER INSERT ON `variants` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `variant_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `variant_key` = new.`key`;
END;
--> statement-breakpoint
CREATE TRIGGER `variants_found_changed` AFTER UPDATE ON `variants` WHEN old.`rule` IS NOT new.`rule` BEGIN
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `variant_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `variant_key` = new.`key`;
END;
--> statement-breakpoint
-- A card is written again in the index by what its own trigger does.
CREATE TRIGGER `sections_found_changed` AFTER UPDATE ON `sections` WHEN old.`name` IS NOT new.`name` BEGIN
	UPDATE `cards` SET `key` = `key` WHERE `section_id` = new.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `releases_found_changed` AFTER UPDATE ON `releases` WHEN old.`name` IS NOT new.`name` OR old.`year` IS NOT new.`year` BEGIN
	UPDATE `cards` SET `key` = `key` WHERE `release_id` = new.`id`;
END;
