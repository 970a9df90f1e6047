CREATE TABLE `file_entry` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`kind` text NOT NULL,
	`local_date` text NOT NULL,
	`body` text,
	`supersedes` text,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `file_entry_patient` ON `file_entry` (`clinic_id`,`patient_id`,`kind`,`local_date`);--> statement-breakpoint
CREATE UNIQUE INDEX `file_entry_supersedes` ON `file_entry` (`clinic_id`,`supersedes`);--> statement-breakpoint
CREATE TABLE `finding` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`key` text NOT NULL,
	`decision` text NOT NULL,
	`proposed` text,
	`say` text NOT NULL,
	`towards` text NOT NULL,
	`source` text NOT NULL,
	`cue` text,
	`reason` text NOT NULL,
	`local_date` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `finding_patient` ON `finding` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `measurement` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`kind` text NOT NULL,
	`side` text,
	`position` text NOT NULL,
	`instrument` text NOT NULL,
	`unit` text NOT NULL,
	`trials` text NOT NULL,
	`value` real,
	`details` text,
	`local_date` text NOT NULL,
	`supersedes` text,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `measurement_patient` ON `measurement` (`clinic_id`,`patient_id`,`kind`,`created_at`);--> statement-breakpoint
CREATE UNIQUE INDEX `measurement_supersedes` ON `measurement` (`clinic_id`,`supersedes`);--> statement-breakpoint
CREATE TABLE `photo` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`taken_on` text NOT NULL,
	`width` integer NOT NULL,
	`height` integer NOT NULL,
	`deleted_by` text,
	`deleted_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photo_patient` ON `photo` (`clinic_id`,`patient_id`,`taken_on`);--> statement-breakpoint
CREATE TABLE `photo_bytes` (
	`clinic_id` text NOT NULL,
	`photo_id` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`clinic_id`, `photo_id`),
	FOREIGN KEY (`clinic_id`,`photo_id`) REFERENCES `photo`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `photo_marking` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`photo_id` text NOT NULL,
	`marks` text NOT NULL,
	`craniovertebral_angle` real NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`photo_id`) REFERENCES `photo`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photo_marking_photo` ON `photo_marking` (`clinic_id`,`photo_id`,`created_at`);--> statement-breakpoint
CREATE INDEX `photo_marking_author` ON `photo_marking` (`clinic_id`,`author_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `referral` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`screening_id` text NOT NULL,
	`to` text NOT NULL,
	`text` text NOT NULL,
	`local_date` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`screening_id`) REFERENCES `screening`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `referral_patient` ON `referral` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `referral_answer` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`referral_id` text NOT NULL,
	`answered_on` text NOT NULL,
	`text` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`referral_id`) REFERENCES `referral`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `referral_answer_referral` ON `referral_answer` (`clinic_id`,`referral_id`);--> statement-breakpoint
CREATE TABLE `screening` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`by_patient` integer NOT NULL,
	`from_id` text,
	`local_date` text NOT NULL,
	`answers` text NOT NULL,
	`rules_version` integer NOT NULL,
	`outcome` text NOT NULL,
	`precautions` text NOT NULL,
	`confirmed_by` text,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `screening_patient` ON `screening` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `screening_decision` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`screening_id` text NOT NULL,
	`action` text NOT NULL,
	`what` text NOT NULL,
	`why` text NOT NULL,
	`may_prescribe` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`screening_id`) REFERENCES `screening`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `screening_decision_screening` ON `screening_decision` (`clinic_id`,`screening_id`,`created_at`);--> statement-breakpoint
CREATE INDEX `screening_decision_patient` ON `screening_decision` (`clinic_id`,`patient_id`);--> statement-breakpoint
ALTER TABLE `clinic` ADD `screening_days` integer DEFAULT 90 NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `detectable_changes` text DEFAULT '{}' NOT NULL;