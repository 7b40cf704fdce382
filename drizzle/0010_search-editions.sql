ALTER TABLE `edition_cards` ADD `subjects` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `edition_cards` ADD `card_group` text;--> statement-breakpoint
-- They are worked out anew, with their subjects, when the collection is opened.
DELETE FROM `edition_cards`;
--> statement-breakpoint
DROP VIEW `copy_words`;
--> statement-breakpoint
CREATE VIEW `copy_words` AS
SELECT c.`id` AS `id`, c.`release_id` AS `release_id`, c.`card_key` AS `card_key`, c.`parallel_key` AS `parallel_key`, c.`variant_key` AS `variant_key`,
	coalesce(p.`name`, c.`parallel_key`, '') || ' ' || coalesce(json_extract(v.`rule`, '$.name'), c.`variant_key`, '') || ' ' || coalesce(json_extract(v.`rule`, '$.kind'), '')
		|| ' ' || c.`attributes` || ' ' || coalesce(c.`serial`, '') || ' ' || coalesce(c.`house`, '') || ' ' || coalesce(c.`certificate`, '')
		|| ' ' || coalesce(c.`place`, '') || ' ' || coalesce(c.`note`, '') || ' ' || coalesce(c.`source`, '') AS `own`,
	coalesce(d.`number`, e.`number`, '') || ' ' || coalesce(d.`other_numbers`, '') || ' ' || coalesce(d.`title`, e.`title`, c.`card_key`) || ' ' || coalesce(d.`subjects`, e.`subjects`, '') || ' ' || coalesce(d.`card_group`, e.`card_group`, '')
		|| ' ' || coalesce(s.`name`, '') || ' ' || r.`name` || ' ' || r.`year` AS `card`
FROM `copies` c JOIN `releases` r ON r.`id` = c.`release_id`
	LEFT JOIN `cards` d ON d.`release_id` = c.`release_id` AND d.`key` = c.`card_key`
	LEFT JOIN `edition_cards` e ON d.`id` IS NULL AND e.`release_id` = c.`release_id` AND e.`key` = c.`card_key`
	LEFT JOIN `sections` s ON s.`id` = coalesce(d.`section_id`, e.`section_id`)
	LEFT JOIN `parallels` p ON p.`release_id` = c.`release_id` AND p.`key` = c.`parallel_key`
	LEFT JOIN `variants` v ON v.`release_id` = c.`release_id` AND v.`key` = c.`variant_key`
WHERE coalesce(c.`parallel_key`, c.`variant_key`, c.`serial`, c.`house`, c.`certificate`, c.`place`, c.`note`, c.`source`) IS NOT NULL OR c.`attributes` <> '[]';
--> statement-breakpoint
-- Among cards in the index those of editions have numbers below 0.
CREATE TRIGGER `edition_cards_found_new` AFTER INSERT ON `edition_cards` BEGIN
	INSERT INTO `card_search` (`rowid`, `words`)
	SELECT -new.`id`, coalesce(new.`number`, '') || ' ' || new.`title` || ' ' || new.`subjects` || ' ' || coalesce(new.`card_group`, '') || ' ' || s.`name` || ' ' || r.`name` || ' ' || r.`year`
	FROM `sections` s JOIN `releases` r ON r.`id` = new.`release_id` WHERE s.`id` = new.`section_id`;
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = new.`release_id` AND `card_key` = new.`key`;
END;
--> statement-breakpoint
CREATE TRIGGER `edition_cards_found_gone` AFTER DELETE ON `edition_cards` BEGIN
	DELETE FROM `card_search` WHERE `rowid` = -old.`id`;
	DELETE FROM `copy_search` WHERE `rowid` IN (SELECT `id` FROM `copies` WHERE `release_id` = old.`release_id` AND `card_key` = old.`key`);
	INSERT INTO `copy_search` (`rowid`, `own`, `card`) SELECT `id`, `own`, `card` FROM `copy_words` WHERE `release_id` = old.`release_id` AND `card_key` = old.`key`;
END;
