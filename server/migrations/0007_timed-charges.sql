CREATE TABLE `timed_charges` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`charger_id` text NOT NULL,
	`battery_id` text NOT NULL,
	`way` text NOT NULL,
	`started_at` text NOT NULL,
	`marks` text NOT NULL,
	`note` text,
	FOREIGN KEY (`charger_id`) REFERENCES `chargers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`battery_id`) REFERENCES `batteries`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `timed_charges_by_charger` ON `timed_charges` (`charger_id`);--> statement-breakpoint
CREATE INDEX `timed_charges_by_battery` ON `timed_charges` (`battery_id`);--> statement-breakpoint
ALTER TABLE `test_flights` ADD `purpose` text;--> statement-breakpoint
ALTER TABLE `test_flights` ADD `estimated_at` text;