CREATE TABLE `counterparts` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release` text NOT NULL,
	`section` text NOT NULL,
	`other_release` text NOT NULL,
	`other_section` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `counterparts_pair` ON `counterparts` (`release`,`section`,`other_release`,`other_section`);