CREATE TABLE `chargers` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`charger` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `aircraft` ADD `retired_on` text;--> statement-breakpoint
ALTER TABLE `batteries` ADD `keeping` text;--> statement-breakpoint
ALTER TABLE `conditions` ADD `site` text;--> statement-breakpoint
ALTER TABLE `conditions` ADD `hours` text;