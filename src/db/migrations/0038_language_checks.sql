CREATE TABLE `language_check` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`language` text NOT NULL,
	`hash` text NOT NULL,
	`member_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`ended_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `language_check_clinic` ON `language_check` (`clinic_id`,`language`,`hash`);