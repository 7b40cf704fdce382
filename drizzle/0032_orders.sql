CREATE TABLE `bids` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`release_id` integer NOT NULL,
	`version` text NOT NULL,
	`condition` text,
	`from` text NOT NULL,
	`most_minor` integer NOT NULL,
	`postage_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`ends_on` text NOT NULL,
	`note` text,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `bids_release` ON `bids` (`release_id`);--> statement-breakpoint
CREATE INDEX `bids_version` ON `bids` (`version`);--> statement-breakpoint
CREATE TABLE `order_lines` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`release_id` integer NOT NULL,
	`version` text NOT NULL,
	`quantity` integer NOT NULL,
	`condition` text,
	`grade` real,
	`house` text,
	`minor` integer NOT NULL,
	`came` text,
	`asked_minor` integer DEFAULT 0 NOT NULL,
	`refund_minor` integer DEFAULT 0 NOT NULL,
	`settled_on` text,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`release_id`) REFERENCES `releases`(`id`) ON UPDATE no action ON DELETE no action,
	CONSTRAINT "order_lines_quantity" CHECK("order_lines"."quantity" >= 1)
);
--> statement-breakpoint
CREATE INDEX `order_lines_order` ON `order_lines` (`order_id`);--> statement-breakpoint
CREATE INDEX `order_lines_release` ON `order_lines` (`release_id`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`seller_id` integer,
	`from` text NOT NULL,
	`way` text NOT NULL,
	`state` text NOT NULL,
	`state_on` text NOT NULL,
	`currency` text NOT NULL,
	`postage_minor` integer NOT NULL,
	`forwarding_minor` integer DEFAULT 0 NOT NULL,
	`ordered_on` text NOT NULL,
	`expected_on` text,
	`here_on` text,
	`note` text,
	`reference` text,
	FOREIGN KEY (`seller_id`) REFERENCES `sellers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `orders_state` ON `orders` (`state`);--> statement-breakpoint
CREATE INDEX `orders_seller` ON `orders` (`seller_id`);--> statement-breakpoint
ALTER TABLE `copies` ADD `order_line_id` integer REFERENCES order_lines(id);--> statement-breakpoint
CREATE INDEX `copies_order_line` ON `copies` (`order_line_id`) WHERE "copies"."order_line_id" is not null;