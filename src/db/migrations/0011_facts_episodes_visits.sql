CREATE TABLE `visit` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`episode_id` text NOT NULL,
	`local_date` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`episode_id`) REFERENCES `episode`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `visit_day` ON `visit` (`clinic_id`,`episode_id`,`local_date`);--> statement-breakpoint
CREATE INDEX `visit_patient` ON `visit` (`clinic_id`,`patient_id`,`local_date`);--> statement-breakpoint
ALTER TABLE `alert` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `session_event` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `pause` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `programme_version` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `programme_version` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `file_entry` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `file_entry` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `rule` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `measure` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `side` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `direction` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `part` text;--> statement-breakpoint
ALTER TABLE `finding` ADD `numbers` text;--> statement-breakpoint
ALTER TABLE `measurement` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `measurement` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `photo` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `photo` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `photo_marking` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `photo_marking` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `referral` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `referral` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `referral_answer` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `referral_answer` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `screening` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `screening` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `screening_decision` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `screening_decision` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `teach_back` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `teach_back` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `visit_note` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `visit_note` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `outcome_letter` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `outcome_letter` ADD `visit_id` text;--> statement-breakpoint
ALTER TABLE `proposal_decision` ADD `episode_id` text;--> statement-breakpoint
ALTER TABLE `proposal_decision` ADD `visit_id` text;--> statement-breakpoint
CREATE INDEX `triage_row_counts` ON `triage_row` (`clinic_id`,`practitioner_id`,`level`,`aside`);