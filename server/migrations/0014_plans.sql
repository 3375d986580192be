CREATE TABLE `plans` (
	`id` text PRIMARY KEY NOT NULL,
	`created_at` text NOT NULL,
	`updated_at` text NOT NULL,
	`version` integer NOT NULL,
	`deleted_at` text,
	`shoot_id` text NOT NULL,
	`kept_at` text NOT NULL,
	`request` text NOT NULL,
	`plan` text NOT NULL,
	FOREIGN KEY (`shoot_id`) REFERENCES `shoots`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `plans_by_shoot` ON `plans` (`shoot_id`);