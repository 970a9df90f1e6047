CREATE TABLE `share` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`id` text NOT NULL,
	`member_id` text NOT NULL,
	`turn` integer NOT NULL,
	`shown` text,
	`touched_at` integer NOT NULL,
	`seen_at` integer,
	`ended_at` integer,
	PRIMARY KEY(`clinic_id`, `patient_id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
