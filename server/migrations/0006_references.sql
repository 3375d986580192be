DROP TABLE `conditions`;--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_shoots` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`aircraft_id` text NOT NULL,
	`day_id` text NOT NULL,
	`starts_at` text NOT NULL,
	`swap_time_s` real NOT NULL,
	`policy` text NOT NULL,
	`shots` text NOT NULL,
	FOREIGN KEY (`aircraft_id`) REFERENCES `aircraft`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`day_id`) REFERENCES `days`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_shoots`("id", "created_at", "updated_at", "version", "deleted_at", "name", "aircraft_id", "day_id", "starts_at", "swap_time_s", "policy", "shots") SELECT "id", "created_at", "updated_at", "version", "deleted_at", "name", "aircraft_id", "day_id", "starts_at", "swap_time_s", "policy", "shots" FROM `shoots`;--> statement-breakpoint
DROP TABLE `shoots`;--> statement-breakpoint
ALTER TABLE `__new_shoots` RENAME TO `shoots`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `shoots_by_aircraft` ON `shoots` (`aircraft_id`);--> statement-breakpoint
CREATE INDEX `shoots_by_day` ON `shoots` (`day_id`);