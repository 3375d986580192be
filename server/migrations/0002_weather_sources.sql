ALTER TABLE `conditions` ADD `weather_from` text;--> statement-breakpoint
ALTER TABLE `conditions` ADD `hours_from` text;