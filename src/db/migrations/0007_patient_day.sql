CREATE TABLE `calendar_link` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`created_at` integer NOT NULL,
	`revoked_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `calendar_link_token` ON `calendar_link` (`token_hash`);--> statement-breakpoint
CREATE INDEX `calendar_link_patient` ON `calendar_link` (`clinic_id`,`patient_id`);--> statement-breakpoint
CREATE TABLE `message` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`channel` text NOT NULL,
	`purpose` text NOT NULL,
	`address` text NOT NULL,
	`text` text NOT NULL,
	`state` text NOT NULL,
	`attempts` integer NOT NULL,
	`due_at` integer NOT NULL,
	`sent_at` integer,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `message_due` ON `message` (`state`,`due_at`);--> statement-breakpoint
CREATE INDEX `message_patient` ON `message` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
ALTER TABLE `day_done` ADD `report` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `patient` ADD `birth_date` text;--> statement-breakpoint
ALTER TABLE `pause` ADD `reason` text DEFAULT '' NOT NULL;