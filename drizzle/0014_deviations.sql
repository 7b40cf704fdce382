ALTER TABLE `copies` ADD `also_variants` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `copies` ADD `is_printing_unseen` integer DEFAULT false NOT NULL;