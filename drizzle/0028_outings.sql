CREATE TABLE `outings` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`copy_id` integer NOT NULL,
	`quantity` integer NOT NULL,
	`kind` text NOT NULL,
	`to` text NOT NULL,
	`out_on` text NOT NULL,
	`due_on` text,
	`back_on` text,
	FOREIGN KEY (`copy_id`) REFERENCES `copies`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "outings_quantity" CHECK("outings"."quantity" >= 1)
);
--> statement-breakpoint
CREATE INDEX `outings_copy` ON `outings` (`copy_id`);--> statement-breakpoint
CREATE INDEX `outings_open` ON `outings` (`due_on`) WHERE "outings"."back_on" is null;