-- Copies name their version by keys: cards of an edition are no rows, so a row's id cannot name them.
CREATE TABLE `copies_by_key` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`card_key` text NOT NULL,
	`parallel_key` text,
	`variant_key` text,
	`quantity` integer NOT NULL,
	`condition` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "copies_quantity" CHECK("copies_by_key"."quantity" >= 1)
);
--> statement-breakpoint
INSERT INTO `copies_by_key`
SELECT o.`id`, o.`release_id`, c.`key`, p.`key`, NULL, o.`quantity`, o.`condition`, o.`logged_at`
FROM `copies` o JOIN `cards` c ON c.`id` = o.`card_id` LEFT JOIN `parallels` p ON p.`id` = o.`parallel_id`;
--> statement-breakpoint
DROP TABLE `copies`;--> statement-breakpoint
ALTER TABLE `copies_by_key` RENAME TO `copies`;--> statement-breakpoint
CREATE INDEX `copies_version` ON `copies` (`release_id`,`card_key`);--> statement-breakpoint
-- The journal keeps rows as they were: those of copies get keys, too, so that old steps can be undone.
UPDATE `journal` SET `changes` = (
	SELECT json_group_array(json_object(
		'table', ch.value ->> 'table',
		'before', (SELECT json_group_array(CASE WHEN ch.value ->> 'table' <> 'copies' THEN json(r.value) ELSE json_set(
				json_remove(r.value, '$.cardId', '$.parallelId'),
				'$.cardKey', (SELECT `key` FROM `cards` WHERE `id` = r.value ->> 'cardId'),
				'$.parallelKey', (SELECT `key` FROM `parallels` WHERE `id` = r.value ->> 'parallelId'),
				'$.variantKey', NULL) END)
			FROM json_each(ch.value, '$.before') r),
		'after', (SELECT json_group_array(CASE WHEN ch.value ->> 'table' <> 'copies' THEN json(r.value) ELSE json_set(
				json_remove(r.value, '$.cardId', '$.parallelId'),
				'$.cardKey', (SELECT `key` FROM `cards` WHERE `id` = r.value ->> 'cardId'),
				'$.parallelKey', (SELECT `key` FROM `parallels` WHERE `id` = r.value ->> 'parallelId'),
				'$.variantKey', NULL) END)
			FROM json_each(ch.value, '$.after') r)
	)) FROM json_each(`changes`) ch
);--> statement-breakpoint
-- Copies of a release that had been removed have no card to ask: steps up to those cannot be undone.
UPDATE `journal` SET `state` = 'dropped' WHERE `id` <= coalesce(
	(SELECT max(`id`) FROM `journal` WHERE `changes` LIKE '%"cardKey":null%'), 0);
