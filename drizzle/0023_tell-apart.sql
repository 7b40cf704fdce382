CREATE TABLE `look_alikes` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`keys` text NOT NULL,
	`note` text
);
--> statement-breakpoint
CREATE TABLE `reference_pictures` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`of` text NOT NULL,
	`hash` text NOT NULL,
	`side` text NOT NULL,
	`source` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`hash`) REFERENCES `media`(`hash`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `reference_pictures_of` ON `reference_pictures` (`release_id`,`of`);--> statement-breakpoint
CREATE TABLE `trained_pairs` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`first` text NOT NULL,
	`second` text NOT NULL,
	`asked` integer NOT NULL,
	`right` integer NOT NULL,
	`memory` text NOT NULL,
	`due_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `trained_pairs_pair` ON `trained_pairs` (`first`,`second`);--> statement-breakpoint
CREATE INDEX `copies_unseen` ON `copies` (`is_printing_unseen`) WHERE "copies"."is_printing_unseen" = 1;