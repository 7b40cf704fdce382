ALTER TABLE `copies` ADD `qualifier` text;--> statement-breakpoint
ALTER TABLE `copy_sums` ADD `qualifier` text;