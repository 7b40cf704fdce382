CREATE TABLE `edition_cards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`section_id` integer NOT NULL,
	`key` text NOT NULL,
	`number` text,
	`title` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`section_id`) REFERENCES `sections`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `edition_cards_key` ON `edition_cards` (`release_id`,`key`);--> statement-breakpoint
CREATE INDEX `edition_cards_section` ON `edition_cards` (`section_id`);--> statement-breakpoint
ALTER TABLE `dividers` ADD `section_key` text;--> statement-breakpoint
ALTER TABLE `dividers` ADD `parallel_key` text;--> statement-breakpoint
ALTER TABLE `dividers` ADD `set_number` integer;--> statement-breakpoint
ALTER TABLE `slip_lines` ADD `set_number` integer;--> statement-breakpoint
-- A divider of a release is from now on that of a run. What stands behind it keeps standing; it is the
-- divider of the run of which the most cards stand there, or of the first section.
UPDATE `dividers` SET `set_number` = 1, (`section_key`, `parallel_key`) = (
	SELECT coalesce(s.`numbered_in`, s.`key`), c.`parallel_key`
	FROM `box_cards` b JOIN `copies` c ON c.`id` = b.`copy_id`
		JOIN `cards` k ON k.`release_id` = c.`release_id` AND k.`key` = c.`card_key`
		JOIN `sections` s ON s.`id` = k.`section_id`
	WHERE b.`divider_id` IN (
		SELECT d.`id` FROM `dividers` d JOIN `boxes` x ON x.`id` = d.`box_id`
		WHERE d.`release_id` = `dividers`.`release_id`
			AND x.`use` = (SELECT y.`use` FROM `boxes` y WHERE y.`id` = `dividers`.`box_id`)
	)
	GROUP BY 1, 2 ORDER BY sum(b.`quantity`) DESC, 1, 2 LIMIT 1
) WHERE `release_id` IS NOT NULL
	AND `box_id` IN (SELECT `id` FROM `boxes` WHERE `use` IN ('sets', 'personal'));
--> statement-breakpoint
UPDATE `dividers` SET `section_key` = (
	SELECT coalesce(s.`numbered_in`, s.`key`) FROM `sections` s
	WHERE s.`release_id` = `dividers`.`release_id` ORDER BY s.`position` LIMIT 1
) WHERE `set_number` IS NOT NULL AND `section_key` IS NULL;
