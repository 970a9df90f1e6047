CREATE TABLE `push_server` (
	`clinic_id` text PRIMARY KEY NOT NULL,
	`is_on` integer NOT NULL,
	`public_key` text NOT NULL,
	`private_key` text NOT NULL,
	`updated_at` integer NOT NULL,
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `push_subscription` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`endpoint` text NOT NULL,
	`p256dh` text NOT NULL,
	`auth` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `token_hash`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `push_subscription_patient` ON `push_subscription` (`clinic_id`,`patient_id`);