ALTER TABLE `conditions` ADD `lift_off` text;--> statement-breakpoint
ALTER TABLE `test_flights` ADD `lift_off` text;