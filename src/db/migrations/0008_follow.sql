CREATE TABLE `outcome_letter` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`kind` text NOT NULL,
	`body` text NOT NULL,
	`local_date` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `outcome_letter_patient` ON `outcome_letter` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `proposal_decision` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`key` text NOT NULL,
	`lineage` text NOT NULL,
	`version` integer NOT NULL,
	`move` text NOT NULL,
	`exercise_id` text NOT NULL,
	`from_dose` text NOT NULL,
	`decision` text NOT NULL,
	`to_dose` text,
	`to_exercise_id` text,
	`why` text NOT NULL,
	`reason` text NOT NULL,
	`local_date` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `proposal_decision_patient` ON `proposal_decision` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE INDEX `proposal_decision_clinic` ON `proposal_decision` (`clinic_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `triage_mark` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`kind` text NOT NULL,
	`rule` text NOT NULL,
	`until` text NOT NULL,
	`reason` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `triage_mark_patient` ON `triage_mark` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `triage_row` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`for_date` text NOT NULL,
	`stale_at` integer NOT NULL,
	`level` integer NOT NULL,
	`urgency` integer NOT NULL,
	`aside` integer NOT NULL,
	`practitioner_id` text NOT NULL,
	`name` text NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `triage_row_order` ON `triage_row` (`clinic_id`,`aside`,`level`,`urgency`,`name`);--> statement-breakpoint
CREATE INDEX `triage_row_stale` ON `triage_row` (`clinic_id`,`stale_at`);--> statement-breakpoint
ALTER TABLE `alert` ADD `escalated_at` integer;--> statement-breakpoint
ALTER TABLE `clinic` ADD `triage_limits` text DEFAULT '{}' NOT NULL;