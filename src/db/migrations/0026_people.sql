CREATE TABLE `patient_details` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`body` text NOT NULL,
	`updated_at` integer NOT NULL,
	`author_id` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `patient` ADD `search` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `patient` ADD `archived_at` integer;--> statement-breakpoint
CREATE INDEX `patient_search` ON `patient` (`clinic_id`,`search`,`name`,`practitioner_id`);--> statement-breakpoint
CREATE INDEX `patient_birth` ON `patient` (`clinic_id`,`birth_date`);
--> statement-breakpoint
DROP TRIGGER guard_holds;
--> statement-breakpoint
CREATE TRIGGER guard_holds BEFORE INSERT ON guard BEGIN
  SELECT RAISE(ABORT, 'guard refused: access') WHERE NEW.holds IS NOT 1 AND NEW.name = 'access';
  SELECT RAISE(ABORT, 'guard refused: alert') WHERE NEW.holds IS NOT 1 AND NEW.name = 'alert';
  SELECT RAISE(ABORT, 'guard refused: episode') WHERE NEW.holds IS NOT 1 AND NEW.name = 'episode';
  SELECT RAISE(ABORT, 'guard refused: attempts') WHERE NEW.holds IS NOT 1 AND NEW.name = 'attempts';
  SELECT RAISE(ABORT, 'guard refused: version') WHERE NEW.holds IS NOT 1 AND NEW.name = 'version';
  SELECT RAISE(ABORT, 'guard refused: day') WHERE NEW.holds IS NOT 1 AND NEW.name = 'day';
  SELECT RAISE(ABORT, 'guard refused: empty') WHERE NEW.holds IS NOT 1 AND NEW.name = 'empty';
  SELECT RAISE(ABORT, 'guard refused: screening') WHERE NEW.holds IS NOT 1 AND NEW.name = 'screening';
  SELECT RAISE(ABORT, 'guard refused: screened') WHERE NEW.holds IS NOT 1 AND NEW.name = 'screened';
  SELECT RAISE(ABORT, 'guard refused: consent') WHERE NEW.holds IS NOT 1 AND NEW.name = 'consent';
  SELECT RAISE(ABORT, 'guard refused: room') WHERE NEW.holds IS NOT 1 AND NEW.name = 'room';
  SELECT RAISE(ABORT, 'guard refused: offered') WHERE NEW.holds IS NOT 1 AND NEW.name = 'offered';
  SELECT RAISE(ABORT, 'guard refused: triage') WHERE NEW.holds IS NOT 1 AND NEW.name = 'triage';
  SELECT RAISE(ABORT, 'guard refused: leads') WHERE NEW.holds IS NOT 1 AND NEW.name = 'leads';
  SELECT RAISE(ABORT, 'guard refused: code') WHERE NEW.holds IS NOT 1 AND NEW.name = 'code';
  SELECT RAISE(ABORT, 'guard refused: newest') WHERE NEW.holds IS NOT 1 AND NEW.name = 'newest';
  SELECT RAISE(ABORT, 'guard refused: other') WHERE NEW.holds IS NOT 1;
  SELECT RAISE(IGNORE);
END;
