CREATE TABLE `goal_history` (
	`goal_id` integer NOT NULL,
	`day` text NOT NULL,
	`have` integer NOT NULL,
	`need` integer NOT NULL,
	PRIMARY KEY(`goal_id`, `day`),
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `media` (
	`hash` text PRIMARY KEY NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`picture` blob NOT NULL,
	`thumbnail` blob NOT NULL
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`copy_id` integer NOT NULL,
	`hash` text NOT NULL,
	`position` integer NOT NULL,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`hash`) REFERENCES `media`(`hash`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_copy` ON `photos` (`copy_id`);--> statement-breakpoint
CREATE TABLE `synonyms` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`word` text NOT NULL,
	`means` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `synonyms_word_unique` ON `synonyms` (`word`);--> statement-breakpoint
CREATE TABLE `tray_piles` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`tray` text NOT NULL,
	`name` text NOT NULL,
	`cards` integer NOT NULL,
	`since` text NOT NULL,
	CONSTRAINT "tray_piles_cards" CHECK("tray_piles"."cards" >= 0)
);
--> statement-breakpoint
CREATE INDEX `tray_piles_tray` ON `tray_piles` (`tray`);--> statement-breakpoint
CREATE TABLE `unmatched_rows` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`source` text NOT NULL,
	`line` integer NOT NULL,
	`fields` text NOT NULL,
	`reason` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `__new_goal_progress` (
	`goal_id` integer NOT NULL,
	`release_key` text NOT NULL,
	`section_key` text NOT NULL,
	`parallel_key` text NOT NULL,
	`position` integer NOT NULL,
	`have` integer NOT NULL,
	`need` integer NOT NULL,
	PRIMARY KEY(`goal_id`, `release_key`, `section_key`, `parallel_key`),
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_goal_progress`("goal_id", "release_key", "section_key", "parallel_key", "position", "have", "need") SELECT p."goal_id", r."key", p."section_key", p."parallel_key", p."position", p."have", p."need" FROM `goal_progress` p JOIN `goals` g ON g."id" = p."goal_id" JOIN `releases` r ON r."id" = g."release_id";--> statement-breakpoint
DROP TABLE `goal_progress`;--> statement-breakpoint
ALTER TABLE `__new_goal_progress` RENAME TO `goal_progress`;--> statement-breakpoint
ALTER TABLE `copies` ADD `grade` real;--> statement-breakpoint
ALTER TABLE `copies` ADD `is_authentic` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `copies` ADD `house` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `certificate` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `serial` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `attributes` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `copies` ADD `status` text DEFAULT 'kept' NOT NULL;--> statement-breakpoint
ALTER TABLE `copies` ADD `cost_minor` integer;--> statement-breakpoint
ALTER TABLE `copies` ADD `value_minor` integer;--> statement-breakpoint
ALTER TABLE `copies` ADD `currency` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `value_source` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `value_on` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `source` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `acquired_on` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `place` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `note` text;