CREATE TABLE `binder_goals` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`binder_id` integer NOT NULL,
	`goal_id` integer NOT NULL,
	`position` integer NOT NULL,
	`order` text,
	FOREIGN KEY (`binder_id`) REFERENCES `binders`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`goal_id`) REFERENCES `goals`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `binder_goals_goal` ON `binder_goals` (`binder_id`,`goal_id`);--> statement-breakpoint
CREATE INDEX `binder_goals_of_goal` ON `binder_goals` (`goal_id`);