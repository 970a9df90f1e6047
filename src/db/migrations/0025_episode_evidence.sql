CREATE TABLE `episode_evidence` (
	`clinic_id` text NOT NULL,
	`episode_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`until` text NOT NULL,
	`facts` text,
	PRIMARY KEY(`clinic_id`, `episode_id`),
	FOREIGN KEY (`clinic_id`,`episode_id`) REFERENCES `episode`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `episode_evidence_patient` ON `episode_evidence` (`clinic_id`,`patient_id`);--> statement-breakpoint
ALTER TABLE `episode` ADD `area` text;