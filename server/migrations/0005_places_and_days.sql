CREATE TABLE `days` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`place_id` text NOT NULL,
	`at` text NOT NULL,
	`weather` text NOT NULL,
	`weather_from` text,
	`hours` text,
	`hours_from` text,
	FOREIGN KEY (`place_id`) REFERENCES `places`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `days_by_place` ON `days` (`place_id`);--> statement-breakpoint
CREATE TABLE `lift_offs` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`battery_id` text NOT NULL,
	`ticked` text NOT NULL,
	FOREIGN KEY (`battery_id`) REFERENCES `batteries`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lift_offs_by_battery` ON `lift_offs` (`battery_id`);--> statement-breakpoint
CREATE TABLE `places` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`elevation_m` real NOT NULL,
	`roughness_m` real,
	`coordinates` text,
	`time_zone` text,
	`tallest_m` real,
	`ceiling_m` real,
	`obstacles` text,
	`landing_places` text,
	`launch_places` text,
	`home` text,
	`below` text
);
--> statement-breakpoint
CREATE TABLE `shoot_batteries` (
	`shoot_id` text NOT NULL,
	`battery_id` text NOT NULL,
	`position` integer NOT NULL,
	PRIMARY KEY(`shoot_id`, `position`),
	FOREIGN KEY (`shoot_id`) REFERENCES `shoots`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`battery_id`) REFERENCES `batteries`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shoot_batteries_by_battery` ON `shoot_batteries` (`battery_id`);--> statement-breakpoint
CREATE TABLE `written_once` (
	`key` text PRIMARY KEY NOT NULL,
	`asked` text NOT NULL,
	`record_id` text NOT NULL,
	`version` integer NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `shoots` ADD `day_id` text REFERENCES days(id);--> statement-breakpoint
CREATE INDEX `shoots_by_day` ON `shoots` (`day_id`);--> statement-breakpoint
-- Conditions were place, hour, weather, forecast and lift-off card in one: each becomes a place and its day, under the same id.
INSERT INTO `places` (`id`, `created_at`, `updated_at`, `version`, `deleted_at`, `name`, `elevation_m`, `roughness_m`, `coordinates`, `time_zone`, `tallest_m`, `ceiling_m`, `obstacles`, `landing_places`, `home`, `below`)
SELECT `id`, `created_at`, `updated_at`, `version`, `deleted_at`, `place`,
	coalesce(json_extract(`weather`, '$.elevationM'), 0), json_extract(`weather`, '$.roughnessM'),
	json_extract(`site`, '$.coordinates'), json_extract(`site`, '$.timeZone'), json_extract(`site`, '$.tallestM'), json_extract(`site`, '$.ceilingM'),
	json_extract(`site`, '$.obstacles'), json_extract(`site`, '$.landingPlaces'), json_extract(`site`, '$.home'), json_extract(`site`, '$.below')
FROM `conditions` ORDER BY `id`;--> statement-breakpoint
INSERT INTO `days` (`id`, `created_at`, `updated_at`, `version`, `deleted_at`, `place_id`, `at`, `weather`, `weather_from`, `hours`, `hours_from`)
SELECT `id`, `created_at`, `updated_at`, `version`, `deleted_at`, `id`, `at`, json_remove(`weather`, '$.elevationM', '$.roughnessM'), `weather_from`, `hours`, `hours_from`
FROM `conditions` ORDER BY `id`;--> statement-breakpoint
INSERT INTO `lift_offs` (`id`, `created_at`, `updated_at`, `version`, `battery_id`, `ticked`)
SELECT c.`id`, c.`updated_at`, c.`updated_at`, 1, b.`id`, json_extract(c.`lift_off`, '$.ticked')
FROM `conditions` c JOIN `batteries` b ON b.`id` = json_extract(c.`lift_off`, '$.batteryId')
WHERE c.`deleted_at` IS NULL AND b.`deleted_at` IS NULL;--> statement-breakpoint
-- A shoot is for the day that the ribbon showed: the first. Where there is none, one is made from when it begins.
INSERT INTO `places` (`id`, `created_at`, `updated_at`, `version`, `name`, `elevation_m`)
SELECT 'first-place', min(`created_at`), min(`created_at`), 1, 'First place', 0 FROM `shoots`
WHERE NOT EXISTS (SELECT 1 FROM `conditions` WHERE `deleted_at` IS NULL) HAVING count(*) > 0;--> statement-breakpoint
INSERT INTO `days` (`id`, `created_at`, `updated_at`, `version`, `place_id`, `at`, `weather`)
SELECT 'first-day', min(`created_at`), min(`created_at`), 1, 'first-place', min(`starts_at`), '{"airTemperatureC":15,"wind":{"speedMps":3,"fromDeg":240,"readingHeightM":10}}' FROM `shoots`
WHERE NOT EXISTS (SELECT 1 FROM `conditions` WHERE `deleted_at` IS NULL) HAVING count(*) > 0;--> statement-breakpoint
UPDATE `shoots` SET `day_id` = (SELECT `id` FROM `days` WHERE `deleted_at` IS NULL ORDER BY `id` = 'first-day', `id` LIMIT 1);--> statement-breakpoint
INSERT INTO `shoot_batteries` (`shoot_id`, `battery_id`, `position`)
SELECT s.`id`, b.`id`, j.`key` FROM `shoots` s, json_each(s.`battery_ids`) j JOIN `batteries` b ON b.`id` = j.`value`;
