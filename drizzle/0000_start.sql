CREATE TABLE `binders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`goal_id` integer NOT NULL,
	`name` text NOT NULL,
	`layout` text NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `binders_goal` ON `binders` (`goal_id`);--> statement-breakpoint
CREATE TABLE `cards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`section_id` integer NOT NULL,
	`key` text NOT NULL,
	`position` integer NOT NULL,
	`number` text,
	`title` text NOT NULL,
	`subjects` text NOT NULL,
	`card_group` text,
	`marks` text NOT NULL,
	`rarity` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`section_id`) REFERENCES `sections`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `cards_key` ON `cards` (`release_id`,`key`);--> statement-breakpoint
CREATE INDEX `cards_section` ON `cards` (`section_id`);--> statement-breakpoint
CREATE TABLE `copies` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`card_id` integer NOT NULL,
	`parallel_id` integer,
	`quantity` integer NOT NULL,
	`condition` text,
	`logged_at` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`card_id`) REFERENCES `cards`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`parallel_id`) REFERENCES `parallels`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "copies_quantity" CHECK("copies"."quantity" >= 1)
);
--> statement-breakpoint
CREATE INDEX `copies_release` ON `copies` (`release_id`);--> statement-breakpoint
CREATE INDEX `copies_version` ON `copies` (`card_id`,`parallel_id`);--> statement-breakpoint
CREATE TABLE `goal_progress` (
	`goal_id` integer NOT NULL,
	`section_key` text NOT NULL,
	`parallel_key` text NOT NULL,
	`position` integer NOT NULL,
	`have` integer NOT NULL,
	`need` integer NOT NULL,
	PRIMARY KEY(`goal_id`, `section_key`, `parallel_key`),
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `goals` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`name` text NOT NULL,
	`rules` text NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `goals_release` ON `goals` (`release_id`);--> statement-breakpoint
CREATE TABLE `journal` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` text NOT NULL,
	`label` text NOT NULL,
	`state` text NOT NULL,
	`release_ids` text NOT NULL,
	`changes` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `journal_state` ON `journal` (`state`,`id`);--> statement-breakpoint
CREATE TABLE `parallels` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`key` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`channel` text,
	`how_to_tell` text,
	`runs` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `parallels_key` ON `parallels` (`release_id`,`key`);--> statement-breakpoint
CREATE TABLE `releases` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`key` text NOT NULL,
	`name` text NOT NULL,
	`maker` text NOT NULL,
	`year` text NOT NULL,
	`note` text,
	`pack_types` text NOT NULL,
	`rarities` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `releases_key_unique` ON `releases` (`key`);--> statement-breakpoint
CREATE TABLE `sections` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`key` text NOT NULL,
	`position` integer NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`numbered_in` text,
	`print_run` integer,
	`series` text NOT NULL,
	`odds` text NOT NULL,
	`note` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `sections_key` ON `sections` (`release_id`,`key`);--> statement-breakpoint
CREATE INDEX `sections_release` ON `sections` (`release_id`);