DROP TRIGGER guard_holds;
--> statement-breakpoint
CREATE TRIGGER guard_holds BEFORE INSERT ON guard BEGIN
  SELECT RAISE(ABORT, 'guard refused: access') WHERE NEW.holds IS NOT 1 AND NEW.name = 'access';
  SELECT RAISE(ABORT, 'guard refused: version') WHERE NEW.holds IS NOT 1 AND NEW.name = 'version';
  SELECT RAISE(ABORT, 'guard refused: day') WHERE NEW.holds IS NOT 1 AND NEW.name = 'day';
  SELECT RAISE(ABORT, 'guard refused: empty') WHERE NEW.holds IS NOT 1 AND NEW.name = 'empty';
  SELECT RAISE(ABORT, 'guard refused: screening') WHERE NEW.holds IS NOT 1 AND NEW.name = 'screening';
  SELECT RAISE(ABORT, 'guard refused: consent') WHERE NEW.holds IS NOT 1 AND NEW.name = 'consent';
  SELECT RAISE(ABORT, 'guard refused: other') WHERE NEW.holds IS NOT 1;
  SELECT RAISE(IGNORE);
END;
--> statement-breakpoint
CREATE TRIGGER screening_no_update BEFORE UPDATE ON screening BEGIN SELECT RAISE(ABORT, 'screening is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER screening_no_delete BEFORE DELETE ON screening BEGIN SELECT RAISE(ABORT, 'screening is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER screening_decision_no_update BEFORE UPDATE ON screening_decision BEGIN SELECT RAISE(ABORT, 'screening_decision is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER screening_decision_no_delete BEFORE DELETE ON screening_decision BEGIN SELECT RAISE(ABORT, 'screening_decision is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER referral_no_update BEFORE UPDATE ON referral BEGIN SELECT RAISE(ABORT, 'referral is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER referral_no_delete BEFORE DELETE ON referral BEGIN SELECT RAISE(ABORT, 'referral is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER referral_answer_no_update BEFORE UPDATE ON referral_answer BEGIN SELECT RAISE(ABORT, 'referral_answer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER referral_answer_no_delete BEFORE DELETE ON referral_answer BEGIN SELECT RAISE(ABORT, 'referral_answer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_entry_no_update BEFORE UPDATE ON file_entry BEGIN SELECT RAISE(ABORT, 'file_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_entry_no_delete BEFORE DELETE ON file_entry BEGIN SELECT RAISE(ABORT, 'file_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER measurement_no_update BEFORE UPDATE ON measurement BEGIN SELECT RAISE(ABORT, 'measurement is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER measurement_no_delete BEFORE DELETE ON measurement BEGIN SELECT RAISE(ABORT, 'measurement is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER photo_marking_no_update BEFORE UPDATE ON photo_marking BEGIN SELECT RAISE(ABORT, 'photo_marking is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER photo_marking_no_delete BEFORE DELETE ON photo_marking BEGIN SELECT RAISE(ABORT, 'photo_marking is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER finding_no_update BEFORE UPDATE ON finding BEGIN SELECT RAISE(ABORT, 'finding is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER finding_no_delete BEFORE DELETE ON finding BEGIN SELECT RAISE(ABORT, 'finding is append-only'); END;
