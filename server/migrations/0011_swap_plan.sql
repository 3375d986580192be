ALTER TABLE `shoots` ADD `ends_at` text;--> statement-breakpoint
ALTER TABLE `shoots` ADD `order` text;--> statement-breakpoint
ALTER TABLE `shoots` ADD `charger_ids` text;--> statement-breakpoint
ALTER TABLE `shoots` ADD `cooling_s` real;--> statement-breakpoint
ALTER TABLE `shoots` ADD `locks` text;--> statement-breakpoint
ALTER TABLE `shoots` ADD `left_out_ids` text;