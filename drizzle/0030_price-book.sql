CREATE TABLE `goal_choices` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`goal_id` integer NOT NULL,
	`choice` text NOT NULL,
	`priority` integer DEFAULT 2 NOT NULL,
	`most_minor` integer,
	`currency` text,
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `goal_choices_goalId_unique` ON `goal_choices` (`goal_id`);--> statement-breakpoint
CREATE TABLE `price_lumps` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`goal_id` integer NOT NULL,
	`release_id` integer NOT NULL,
	`words` text NOT NULL,
	`versions` text NOT NULL,
	`cards` integer NOT NULL,
	`low_minor` integer NOT NULL,
	`high_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`said_on` text NOT NULL,
	`reason` text,
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "price_lumps_range" CHECK("price_lumps"."low_minor" >= 0 and "price_lumps"."high_minor" >= "price_lumps"."low_minor")
);
--> statement-breakpoint
CREATE INDEX `price_lumps_goal` ON `price_lumps` (`goal_id`);--> statement-breakpoint
CREATE INDEX `price_lumps_release` ON `price_lumps` (`release_id`);--> statement-breakpoint
CREATE TABLE `price_points` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`card_key` text NOT NULL,
	`parallel_key` text,
	`variant_key` text,
	`condition` text,
	`grade` real,
	`house` text,
	`low_minor` integer NOT NULL,
	`high_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`kind` text NOT NULL,
	`said_on` text NOT NULL,
	`source` text,
	`reason` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "price_points_range" CHECK("price_points"."low_minor" >= 0 and "price_points"."high_minor" >= "price_points"."low_minor")
);
--> statement-breakpoint
CREATE INDEX `price_points_version` ON `price_points` (`release_id`,`card_key`);--> statement-breakpoint
CREATE TABLE `want_marks` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`version` text NOT NULL,
	`is_favourite` integer DEFAULT false NOT NULL,
	`priority` integer,
	`most_minor` integer,
	`currency` text,
	`least_condition` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `want_marks_version_unique` ON `want_marks` (`version`);--> statement-breakpoint
CREATE INDEX `want_marks_release` ON `want_marks` (`release_id`);