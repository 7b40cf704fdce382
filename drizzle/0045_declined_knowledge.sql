CREATE TABLE `declined_knowledge` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`from` text NOT NULL,
	`fingerprint` text NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `declined_knowledge_release` ON `declined_knowledge` (`release_id`,`from`);