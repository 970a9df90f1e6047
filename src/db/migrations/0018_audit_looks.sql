CREATE TABLE `audit_seal` (
	`id` integer PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	`through_event` integer NOT NULL,
	`through_look` integer NOT NULL,
	`hash` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `file_look` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`clinic_id` text NOT NULL,
	`at` integer NOT NULL,
	`member_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`what` text NOT NULL,
	`session` text NOT NULL,
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `file_look_patient` ON `file_look` (`clinic_id`,`patient_id`,`id`);--> statement-breakpoint
CREATE INDEX `file_look_clinic` ON `file_look` (`clinic_id`,`id`);--> statement-breakpoint
CREATE INDEX `audit_event_actor` ON `audit_event` (`clinic_id`,`actor_id`,`id`);--> statement-breakpoint
CREATE INDEX `audit_event_subject` ON `audit_event` (`clinic_id`,`subject_id`,`id`);
--> statement-breakpoint
CREATE TRIGGER file_look_no_update BEFORE UPDATE ON file_look BEGIN SELECT RAISE(ABORT, 'file_look is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_look_no_delete BEFORE DELETE ON file_look BEGIN SELECT RAISE(ABORT, 'file_look is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER audit_seal_no_update BEFORE UPDATE ON audit_seal BEGIN SELECT RAISE(ABORT, 'audit_seal is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER audit_seal_no_delete BEFORE DELETE ON audit_seal BEGIN SELECT RAISE(ABORT, 'audit_seal is append-only'); END;