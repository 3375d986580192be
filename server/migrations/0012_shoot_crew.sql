ALTER TABLE `shoots` ADD `other_aircraft_id` text REFERENCES aircraft(id);--> statement-breakpoint
ALTER TABLE `shoots` ADD `swap_parts` text;--> statement-breakpoint
ALTER TABLE `shoots` ADD `moving` text;