CREATE TABLE `goal_next` (
	`goal_id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`left` integer NOT NULL,
	`text` text NOT NULL,
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `release_totals` (
	`release_id` integer PRIMARY KEY NOT NULL,
	`cards` integer NOT NULL,
	`parallels` integer NOT NULL,
	`owned` integer NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `dividers` ADD `strays_of` text;--> statement-breakpoint
ALTER TABLE `dividers` ADD `part_of` integer;--> statement-breakpoint
UPDATE `dividers` SET `strays_of` = substr(`label`, 1, length(`label`) - 8)
	WHERE `release_id` IS NULL AND `label` LIKE '%, strays';--> statement-breakpoint
UPDATE `dividers` SET `part_of` = (
	SELECT min(`first`.`id`) FROM `dividers` AS `first`
	WHERE `first`.`box_id` = `dividers`.`box_id` AND `first`.`label` = `dividers`.`label`
		AND `first`.`release_id` IS NULL AND `first`.`strays_of` IS NULL AND `first`.`id` < `dividers`.`id`
) WHERE `release_id` IS NULL AND `strays_of` IS NULL;
