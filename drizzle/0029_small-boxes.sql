ALTER TABLE `boxes` ADD `inside_id` integer REFERENCES boxes(id);--> statement-breakpoint
ALTER TABLE `boxes` ADD `inside_row` integer;--> statement-breakpoint
CREATE INDEX `boxes_inside` ON `boxes` (`inside_id`);