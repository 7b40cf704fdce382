CREATE TABLE `passphrases` (
	`role` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`set_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`role` text NOT NULL,
	`started_at` text NOT NULL,
	`seen_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `shared_lists` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`token` text NOT NULL,
	`name` text NOT NULL,
	`made_at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `shared_lists_token_unique` ON `shared_lists` (`token`);