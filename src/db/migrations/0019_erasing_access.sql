CREATE TABLE `lease` (
	`name` text PRIMARY KEY NOT NULL,
	`holder` text NOT NULL,
	`until` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `own_draft` (
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`kind` text NOT NULL,
	`fields` text NOT NULL,
	`updated_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `member_id`, `kind`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `member_backup_code` (
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`code_hash` text NOT NULL,
	`used_at` integer,
	PRIMARY KEY(`clinic_id`, `member_id`, `code_hash`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `member_factor` (
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`secret` text NOT NULL,
	`confirmed_at` integer,
	`last_step` integer DEFAULT 0 NOT NULL,
	PRIMARY KEY(`clinic_id`, `member_id`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `member_sees` (
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`practitioner_id` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `member_id`, `practitioner_id`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`practitioner_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `erasing` (
	`id` integer PRIMARY KEY NOT NULL CHECK (`id` > 0),
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	-- No row has such an id, and that is looked at when the batch ends: a row left here cannot be committed.
	`open` integer NOT NULL CHECK (`open` < 0) REFERENCES `erasing`(`id`) DEFERRABLE INITIALLY DEFERRED
);
--> statement-breakpoint
CREATE TABLE `erasure` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`at` integer NOT NULL,
	`member_id` text NOT NULL,
	`reason` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`)
);
--> statement-breakpoint
CREATE INDEX `erasure_at` ON `erasure` (`clinic_id`,`at`);--> statement-breakpoint
CREATE TABLE `file_opening` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`reason` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `file_opening_patient` ON `file_opening` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE INDEX `file_opening_clinic` ON `file_opening` (`clinic_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `patient_correction` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`author_id` text NOT NULL,
	`field` text NOT NULL,
	`before` text NOT NULL,
	`after` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`, `field`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `patient_correction_patient` ON `patient_correction` (`clinic_id`,`patient_id`,`created_at`);--> statement-breakpoint
CREATE TABLE `__new_file_look` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`clinic_id` text NOT NULL,
	`at` integer NOT NULL,
	`member_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`what` text NOT NULL,
	`session` text NOT NULL
);
--> statement-breakpoint
INSERT INTO `__new_file_look`("id", "clinic_id", "at", "member_id", "patient_id", "what", "session") SELECT "id", "clinic_id", "at", "member_id", "patient_id", "what", "session" FROM `file_look`;--> statement-breakpoint
DROP TABLE `file_look`;--> statement-breakpoint
ALTER TABLE `__new_file_look` RENAME TO `file_look`;--> statement-breakpoint
CREATE INDEX `file_look_patient` ON `file_look` (`clinic_id`,`patient_id`,`id`);--> statement-breakpoint
CREATE INDEX `file_look_clinic` ON `file_look` (`clinic_id`,`id`);--> statement-breakpoint
DROP INDEX `member_email`;--> statement-breakpoint
ALTER TABLE `member` ADD `sees` text DEFAULT 'all' NOT NULL;--> statement-breakpoint
ALTER TABLE `member` ADD `issues_links` integer DEFAULT true NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX `member_address` ON `member` (`email`,`clinic_id`);--> statement-breakpoint
ALTER TABLE `audit_event` ADD `session` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `privacy_text` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `keep_years` integer;--> statement-breakpoint
ALTER TABLE `clinic` ADD `link_days` integer DEFAULT 90 NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `device_days` integer DEFAULT 180 NOT NULL;--> statement-breakpoint
ALTER TABLE `clinic` ADD `factor_required` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `patient` ADD `contact` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `patient_device` ADD `last_seen_at` integer;--> statement-breakpoint
ALTER TABLE `patient_device` ADD `ended_at` integer;--> statement-breakpoint
ALTER TABLE `patient_device` ADD `notice_read` text;--> statement-breakpoint
CREATE INDEX `patient_device_patient` ON `patient_device` (`clinic_id`,`patient_id`,`created_at`);
--> statement-breakpoint
CREATE TRIGGER file_look_no_update BEFORE UPDATE ON file_look BEGIN SELECT RAISE(ABORT, 'file_look is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER erasure_no_update BEFORE UPDATE ON erasure BEGIN SELECT RAISE(ABORT, 'erasure is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER patient_correction_no_update BEFORE UPDATE ON patient_correction BEGIN SELECT RAISE(ABORT, 'patient_correction is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_opening_no_update BEFORE UPDATE ON file_opening BEGIN SELECT RAISE(ABORT, 'file_opening is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_look_no_delete BEFORE DELETE ON file_look BEGIN SELECT RAISE(ABORT, 'file_look is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER erasure_no_delete BEFORE DELETE ON erasure BEGIN SELECT RAISE(ABORT, 'erasure is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER patient_correction_no_delete BEFORE DELETE ON patient_correction WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'patient_correction is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_opening_no_delete BEFORE DELETE ON file_opening WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'file_opening is append-only'); END;
--> statement-breakpoint
DROP TRIGGER session_event_no_delete;
--> statement-breakpoint
CREATE TRIGGER session_event_no_delete BEFORE DELETE ON session_event WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'session_event is append-only'); END;
--> statement-breakpoint
DROP TRIGGER log_conflict_no_delete;
--> statement-breakpoint
CREATE TRIGGER log_conflict_no_delete BEFORE DELETE ON log_conflict WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'log_conflict is append-only'); END;
--> statement-breakpoint
DROP TRIGGER programme_version_no_delete;
--> statement-breakpoint
CREATE TRIGGER programme_version_no_delete BEFORE DELETE ON programme_version WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'programme_version is append-only'); END;
--> statement-breakpoint
DROP TRIGGER screening_no_delete;
--> statement-breakpoint
CREATE TRIGGER screening_no_delete BEFORE DELETE ON screening WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'screening is append-only'); END;
--> statement-breakpoint
DROP TRIGGER screening_decision_no_delete;
--> statement-breakpoint
CREATE TRIGGER screening_decision_no_delete BEFORE DELETE ON screening_decision WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'screening_decision is append-only'); END;
--> statement-breakpoint
DROP TRIGGER referral_no_delete;
--> statement-breakpoint
CREATE TRIGGER referral_no_delete BEFORE DELETE ON referral WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'referral is append-only'); END;
--> statement-breakpoint
DROP TRIGGER referral_answer_no_delete;
--> statement-breakpoint
CREATE TRIGGER referral_answer_no_delete BEFORE DELETE ON referral_answer WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'referral_answer is append-only'); END;
--> statement-breakpoint
DROP TRIGGER file_entry_no_delete;
--> statement-breakpoint
CREATE TRIGGER file_entry_no_delete BEFORE DELETE ON file_entry WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'file_entry is append-only'); END;
--> statement-breakpoint
DROP TRIGGER measurement_no_delete;
--> statement-breakpoint
CREATE TRIGGER measurement_no_delete BEFORE DELETE ON measurement WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'measurement is append-only'); END;
--> statement-breakpoint
DROP TRIGGER photo_marking_no_delete;
--> statement-breakpoint
CREATE TRIGGER photo_marking_no_delete BEFORE DELETE ON photo_marking WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'photo_marking is append-only'); END;
--> statement-breakpoint
DROP TRIGGER finding_no_delete;
--> statement-breakpoint
CREATE TRIGGER finding_no_delete BEFORE DELETE ON finding WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'finding is append-only'); END;
--> statement-breakpoint
DROP TRIGGER teach_back_no_delete;
--> statement-breakpoint
CREATE TRIGGER teach_back_no_delete BEFORE DELETE ON teach_back WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'teach_back is append-only'); END;
--> statement-breakpoint
DROP TRIGGER visit_note_no_delete;
--> statement-breakpoint
CREATE TRIGGER visit_note_no_delete BEFORE DELETE ON visit_note WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'visit_note is append-only'); END;
--> statement-breakpoint
DROP TRIGGER proposal_decision_no_delete;
--> statement-breakpoint
CREATE TRIGGER proposal_decision_no_delete BEFORE DELETE ON proposal_decision WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'proposal_decision is append-only'); END;
--> statement-breakpoint
DROP TRIGGER triage_mark_no_delete;
--> statement-breakpoint
CREATE TRIGGER triage_mark_no_delete BEFORE DELETE ON triage_mark WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'triage_mark is append-only'); END;
--> statement-breakpoint
DROP TRIGGER outcome_letter_no_delete;
--> statement-breakpoint
CREATE TRIGGER outcome_letter_no_delete BEFORE DELETE ON outcome_letter WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'outcome_letter is append-only'); END;
--> statement-breakpoint
DROP TRIGGER visit_no_delete;
--> statement-breakpoint
CREATE TRIGGER visit_no_delete BEFORE DELETE ON visit WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'visit is append-only'); END;
--> statement-breakpoint
DROP TRIGGER programme_line_no_delete;
--> statement-breakpoint
CREATE TRIGGER programme_line_no_delete BEFORE DELETE ON programme_line WHEN NOT EXISTS (SELECT 1 FROM erasing JOIN programme ON programme.clinic_id = erasing.clinic_id AND programme.patient_id = erasing.patient_id WHERE programme.clinic_id = OLD.clinic_id AND programme.id = OLD.programme_id) BEGIN SELECT RAISE(ABORT, 'programme_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER patient_no_delete BEFORE DELETE ON patient WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.id) BEGIN SELECT RAISE(ABORT, 'a patient is only erased'); END;
--> statement-breakpoint
CREATE TRIGGER patient_not_again BEFORE INSERT ON patient WHEN EXISTS (SELECT 1 FROM erasure WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.id) BEGIN SELECT RAISE(ABORT, 'guard refused: erased'); END;
--> statement-breakpoint
CREATE TRIGGER erasure_only_erasing BEFORE INSERT ON erasure WHEN NOT EXISTS (SELECT 1 FROM erasing WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id) BEGIN SELECT RAISE(ABORT, 'nothing is being erased'); END;
--> statement-breakpoint
CREATE TRIGGER erasing_no_update BEFORE UPDATE ON erasing BEGIN SELECT RAISE(ABORT, 'an erasure is not changed'); END;
--> statement-breakpoint
CREATE TRIGGER erasing_is_done BEFORE DELETE ON erasing WHEN EXISTS (SELECT 1 FROM patient WHERE clinic_id = OLD.clinic_id AND id = OLD.patient_id) OR NOT EXISTS (SELECT 1 FROM erasure WHERE clinic_id = OLD.clinic_id AND patient_id = OLD.patient_id) BEGIN SELECT RAISE(ABORT, 'the erasure is not done'); END;
--> statement-breakpoint
DROP TRIGGER guard_holds;
--> statement-breakpoint
CREATE TRIGGER guard_holds BEFORE INSERT ON guard BEGIN
  SELECT RAISE(ABORT, 'guard refused: access') WHERE NEW.holds IS NOT 1 AND NEW.name = 'access';
  SELECT RAISE(ABORT, 'guard refused: attempts') WHERE NEW.holds IS NOT 1 AND NEW.name = 'attempts';
  SELECT RAISE(ABORT, 'guard refused: version') WHERE NEW.holds IS NOT 1 AND NEW.name = 'version';
  SELECT RAISE(ABORT, 'guard refused: day') WHERE NEW.holds IS NOT 1 AND NEW.name = 'day';
  SELECT RAISE(ABORT, 'guard refused: empty') WHERE NEW.holds IS NOT 1 AND NEW.name = 'empty';
  SELECT RAISE(ABORT, 'guard refused: screening') WHERE NEW.holds IS NOT 1 AND NEW.name = 'screening';
  SELECT RAISE(ABORT, 'guard refused: screened') WHERE NEW.holds IS NOT 1 AND NEW.name = 'screened';
  SELECT RAISE(ABORT, 'guard refused: consent') WHERE NEW.holds IS NOT 1 AND NEW.name = 'consent';
  SELECT RAISE(ABORT, 'guard refused: offered') WHERE NEW.holds IS NOT 1 AND NEW.name = 'offered';
  SELECT RAISE(ABORT, 'guard refused: triage') WHERE NEW.holds IS NOT 1 AND NEW.name = 'triage';
  SELECT RAISE(ABORT, 'guard refused: leads') WHERE NEW.holds IS NOT 1 AND NEW.name = 'leads';
  SELECT RAISE(ABORT, 'guard refused: code') WHERE NEW.holds IS NOT 1 AND NEW.name = 'code';
  SELECT RAISE(ABORT, 'guard refused: newest') WHERE NEW.holds IS NOT 1 AND NEW.name = 'newest';
  SELECT RAISE(ABORT, 'guard refused: other') WHERE NEW.holds IS NOT 1;
  SELECT RAISE(IGNORE);
END;
