CREATE TABLE `telemetry` (
	`flight_id` text NOT NULL,
	`part` integer NOT NULL,
	`text` text NOT NULL,
	PRIMARY KEY(`flight_id`, `part`),
	FOREIGN KEY (`flight_id`) REFERENCES `test_flights`(`id`) ON UPDATE no action ON DELETE cascade
);
