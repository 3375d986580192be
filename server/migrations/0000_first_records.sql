CREATE TABLE `aircraft` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`spec` text NOT NULL,
	`flight` text NOT NULL,
	`policy` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `batteries` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`aircraft_id` text NOT NULL,
	`label` text NOT NULL,
	`pack` text NOT NULL,
	FOREIGN KEY (`aircraft_id`) REFERENCES `aircraft`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `batteries_by_aircraft` ON `batteries` (`aircraft_id`);--> statement-breakpoint
CREATE TABLE `conditions` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`place` text NOT NULL,
	`at` text NOT NULL,
	`weather` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `shoots` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`aircraft_id` text NOT NULL,
	`battery_ids` text NOT NULL,
	`starts_at` text NOT NULL,
	`swap_time_s` integer NOT NULL,
	`policy` text NOT NULL,
	`shots` text NOT NULL,
	FOREIGN KEY (`aircraft_id`) REFERENCES `aircraft`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shoots_by_aircraft` ON `shoots` (`aircraft_id`);--> statement-breakpoint
CREATE TABLE `test_flights` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`aircraft_id` text NOT NULL,
	`battery_id` text NOT NULL,
	`flown_at` text NOT NULL,
	`test` text NOT NULL,
	`weather` text NOT NULL,
	`note` text,
	`excluded_reason` text,
	`estimate` text NOT NULL,
	FOREIGN KEY (`aircraft_id`) REFERENCES `aircraft`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`battery_id`) REFERENCES `batteries`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `test_flights_by_aircraft` ON `test_flights` (`aircraft_id`);--> statement-breakpoint
CREATE INDEX `test_flights_by_battery` ON `test_flights` (`battery_id`);