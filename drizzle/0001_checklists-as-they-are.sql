CREATE TABLE `variants` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`key` text NOT NULL,
	`position` integer NOT NULL,
	`rule` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `variants_key` ON `variants` (`release_id`,`key`);--> statement-breakpoint
ALTER TABLE `cards` ADD `other_numbers` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `place` integer;--> statement-breakpoint
ALTER TABLE `cards` ADD `panel_of` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `copies` ADD `card_key` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `copies` ADD `parallel_key` text;--> statement-breakpoint
ALTER TABLE `copies` ADD `variant_key` text;--> statement-breakpoint
ALTER TABLE `parallels` ADD `is_base_finish` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `parallels` ADD `stock_pt` real;--> statement-breakpoint
ALTER TABLE `parallels` ADD `shape` text;--> statement-breakpoint
ALTER TABLE `sections` ADD `listed` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `sections` ADD `stated_total` integer;--> statement-breakpoint
ALTER TABLE `sections` ADD `format` text;--> statement-breakpoint
ALTER TABLE `sections` ADD `arrangement` text;--> statement-breakpoint
ALTER TABLE `sections` ADD `edition` text;--> statement-breakpoint
ALTER TABLE `sections` ADD `also_in` text DEFAULT '[]' NOT NULL;