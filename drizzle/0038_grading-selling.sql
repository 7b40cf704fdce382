CREATE TABLE `submission_cards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`submission_id` integer NOT NULL,
	`copy_id` integer,
	`outing_id` integer,
	`version` text NOT NULL,
	`purpose` text NOT NULL,
	`insured_minor` integer,
	`estimate` real,
	`back_on` text,
	`grade` real,
	`is_authentic` integer DEFAULT false NOT NULL,
	`qualifier` text,
	`certificate` text,
	FOREIGN KEY (`submission_id`) REFERENCES `submissions`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`outing_id`) REFERENCES `outings`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `submission_cards_submission` ON `submission_cards` (`submission_id`);--> statement-breakpoint
CREATE INDEX `submission_cards_copy` ON `submission_cards` (`copy_id`);--> statement-breakpoint
CREATE TABLE `submissions` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`house` text NOT NULL,
	`tier` text NOT NULL,
	`fee_minor` integer NOT NULL,
	`postage_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`sent_on` text NOT NULL,
	`due_on` text
);
--> statement-breakpoint
CREATE TABLE `worksheets` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`copy_id` integer NOT NULL,
	`seen_on` text NOT NULL,
	`sheet` text NOT NULL,
	`word` text,
	`estimate` real,
	`width_mm` real,
	`height_mm` real,
	`thickness_pt` real,
	`note` text,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `worksheets_copy` ON `worksheets` (`copy_id`);--> statement-breakpoint
CREATE TABLE `builds` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`plan` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `builds_release` ON `builds` (`release_id`);--> statement-breakpoint
CREATE TABLE `listing_cards` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`listing_id` integer NOT NULL,
	`copy_id` integer,
	`version` text NOT NULL,
	`quantity` integer NOT NULL,
	`cost_minor` integer,
	`cost_currency` text,
	`gone` text DEFAULT '[]' NOT NULL,
	FOREIGN KEY (`listing_id`) REFERENCES `listings`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `listing_cards_listing` ON `listing_cards` (`listing_id`);--> statement-breakpoint
CREATE INDEX `listing_cards_copy` ON `listing_cards` (`copy_id`);--> statement-breakpoint
CREATE TABLE `listings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`title` text NOT NULL,
	`text` text NOT NULL,
	`channel` text NOT NULL,
	`currency` text NOT NULL,
	`asking_minor` integer NOT NULL,
	`floor_minor` integer NOT NULL,
	`listed_on` text,
	`sold_on` text,
	`sent_on` text,
	`paid_on` text,
	`returned_on` text,
	`buyer` text,
	`sold_minor` integer,
	`charged_minor` integer,
	`postage_minor` integer,
	`fee_minor` integer,
	`supplies_minor` integer,
	`slip_id` integer
);
