CREATE TABLE `loose_releases` (
	`release_id` integer PRIMARY KEY NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `loose_releases` (`release_id`) SELECT DISTINCT `release_id` FROM `copies`;
--> statement-breakpoint
CREATE TRIGGER `copies_loose_new` AFTER INSERT ON `copies` BEGIN
	INSERT OR IGNORE INTO `loose_releases` (`release_id`) VALUES (new.`release_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `copies_loose_changed` AFTER UPDATE OF `release_id`, `card_key`, `quantity`, `status`, `place` ON `copies` BEGIN
	INSERT OR IGNORE INTO `loose_releases` (`release_id`) VALUES (new.`release_id`);
END;
--> statement-breakpoint
CREATE TRIGGER `box_cards_loose_gone` AFTER DELETE ON `box_cards` BEGIN
	INSERT OR IGNORE INTO `loose_releases` (`release_id`) SELECT `release_id` FROM `copies` WHERE `id` = old.`copy_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `box_cards_loose_changed` AFTER UPDATE OF `copy_id`, `quantity` ON `box_cards` BEGIN
	INSERT OR IGNORE INTO `loose_releases` (`release_id`) SELECT `release_id` FROM `copies` WHERE `id` = old.`copy_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `binder_pockets_loose_gone` AFTER DELETE ON `binder_pockets` BEGIN
	INSERT OR IGNORE INTO `loose_releases` (`release_id`) SELECT `release_id` FROM `copies` WHERE `id` = old.`copy_id`;
END;
--> statement-breakpoint
CREATE TRIGGER `binder_pockets_loose_changed` AFTER UPDATE OF `copy_id` ON `binder_pockets` BEGIN
	INSERT OR IGNORE INTO `loose_releases` (`release_id`) SELECT `release_id` FROM `copies` WHERE `id` = old.`copy_id`;
END;
