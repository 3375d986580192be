CREATE TABLE `fits` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`aircraft_id` text NOT NULL,
	`made_at` text NOT NULL,
	`basis_state` text NOT NULL,
	`flights` text NOT NULL,
	`fit` text NOT NULL,
	FOREIGN KEY (`aircraft_id`) REFERENCES `aircraft`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `fits_by_aircraft` ON `fits` (`aircraft_id`);--> statement-breakpoint
ALTER TABLE `aircraft` ADD `current_fit_id` text;--> statement-breakpoint
ALTER TABLE `aircraft` ADD `takes_fits` integer;