CREATE TABLE `paper` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`kind` text NOT NULL,
	`received_on` text NOT NULL,
	`media_type` text NOT NULL,
	`size` integer NOT NULL,
	`read_by` text,
	`read_at` integer,
	`deleted_by` text,
	`deleted_at` integer,
	`episode_id` text,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `paper_patient` ON `paper` (`clinic_id`,`patient_id`,`received_on`);--> statement-breakpoint
CREATE TABLE `paper_bytes` (
	`clinic_id` text NOT NULL,
	`paper_id` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`clinic_id`, `paper_id`),
	FOREIGN KEY (`clinic_id`,`paper_id`) REFERENCES `paper`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
