CREATE TABLE `mail_server` (
	`clinic_id` text PRIMARY KEY NOT NULL,
	`is_on` integer NOT NULL,
	`host` text NOT NULL,
	`port` integer NOT NULL,
	`security` text NOT NULL,
	`user` text NOT NULL,
	`password` text NOT NULL,
	`from_address` text NOT NULL,
	`most_a_day` integer NOT NULL,
	`stop_key` text NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `mail_stop` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`stopped_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `message` ADD `because` text;--> statement-breakpoint
CREATE INDEX `message_sent` ON `message` (`clinic_id`,`channel`,`sent_at`);