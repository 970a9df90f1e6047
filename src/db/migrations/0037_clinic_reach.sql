ALTER TABLE `clinic` ADD `emergency_number` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `after_hours_phone` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `opening_hours` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `reads_reports` text DEFAULT '' NOT NULL;