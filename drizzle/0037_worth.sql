CREATE TABLE `copy_sums` (
	`release_id` integer NOT NULL,
	`card_key` text NOT NULL,
	`parallel_key` text,
	`variant_key` text,
	`condition` text,
	`grade` real,
	`is_authentic` integer NOT NULL,
	`house` text,
	`status` text NOT NULL,
	`value_minor` integer,
	`currency` text,
	`quantity` integer NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `copy_sums_card` ON `copy_sums` (`release_id`,`card_key`);--> statement-breakpoint
CREATE TABLE `houses` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`grades` text NOT NULL,
	`gives_authentic` integer DEFAULT true NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `houses_name` ON `houses` (`name`);--> statement-breakpoint
CREATE TABLE `population_reports` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`card_key` text NOT NULL,
	`parallel_key` text,
	`variant_key` text,
	`house` text NOT NULL,
	`said_on` text NOT NULL,
	`source` text,
	`stated_total` integer,
	`counts` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `population_reports_version` ON `population_reports` (`release_id`,`card_key`);--> statement-breakpoint
ALTER TABLE `price_points` ADD `is_authentic` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `price_points` ADD `qualifier` text;--> statement-breakpoint
INSERT INTO `copy_sums` (`release_id`, `card_key`, `parallel_key`, `variant_key`, `condition`, `grade`, `is_authentic`, `house`, `status`, `value_minor`, `currency`, `quantity`) SELECT `release_id`, `card_key`, `parallel_key`, `variant_key`, `condition`, `grade`, `is_authentic`, `house`, `status`, `value_minor`, `currency`, sum(`quantity`) FROM `copies` GROUP BY 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11;
