DROP TRIGGER guard_holds;
--> statement-breakpoint
CREATE TRIGGER guard_holds BEFORE INSERT ON guard BEGIN
  SELECT RAISE(ABORT, 'guard refused: access') WHERE NEW.holds IS NOT 1 AND NEW.name = 'access';
  SELECT RAISE(ABORT, 'guard refused: version') WHERE NEW.holds IS NOT 1 AND NEW.name = 'version';
  SELECT RAISE(ABORT, 'guard refused: day') WHERE NEW.holds IS NOT 1 AND NEW.name = 'day';
  SELECT RAISE(ABORT, 'guard refused: empty') WHERE NEW.holds IS NOT 1 AND NEW.name = 'empty';
  SELECT RAISE(ABORT, 'guard refused: screening') WHERE NEW.holds IS NOT 1 AND NEW.name = 'screening';
  SELECT RAISE(ABORT, 'guard refused: consent') WHERE NEW.holds IS NOT 1 AND NEW.name = 'consent';
  SELECT RAISE(ABORT, 'guard refused: offered') WHERE NEW.holds IS NOT 1 AND NEW.name = 'offered';
  SELECT RAISE(ABORT, 'guard refused: triage') WHERE NEW.holds IS NOT 1 AND NEW.name = 'triage';
  SELECT RAISE(ABORT, 'guard refused: other') WHERE NEW.holds IS NOT 1;
  SELECT RAISE(IGNORE);
END;
--> statement-breakpoint
CREATE TRIGGER proposal_decision_no_update BEFORE UPDATE ON proposal_decision BEGIN SELECT RAISE(ABORT, 'proposal_decision is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER proposal_decision_no_delete BEFORE DELETE ON proposal_decision BEGIN SELECT RAISE(ABORT, 'proposal_decision is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER triage_mark_no_update BEFORE UPDATE ON triage_mark BEGIN SELECT RAISE(ABORT, 'triage_mark is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER triage_mark_no_delete BEFORE DELETE ON triage_mark BEGIN SELECT RAISE(ABORT, 'triage_mark is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER outcome_letter_no_update BEFORE UPDATE ON outcome_letter BEGIN SELECT RAISE(ABORT, 'outcome_letter is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER outcome_letter_no_delete BEFORE DELETE ON outcome_letter BEGIN SELECT RAISE(ABORT, 'outcome_letter is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_day_done_insert AFTER INSERT ON day_done BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_day_done_update AFTER UPDATE ON day_done BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_alert_insert AFTER INSERT ON alert BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_alert_update AFTER UPDATE ON alert BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_pause_insert AFTER INSERT ON pause BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_pause_update AFTER UPDATE ON pause BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_patient_link_insert AFTER INSERT ON patient_link BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_patient_link_update AFTER UPDATE ON patient_link BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_programme_version_insert AFTER INSERT ON programme_version BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_screening_insert AFTER INSERT ON screening BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_screening_decision_insert AFTER INSERT ON screening_decision BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_referral_insert AFTER INSERT ON referral BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_referral_answer_insert AFTER INSERT ON referral_answer BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_proposal_decision_insert AFTER INSERT ON proposal_decision BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_triage_mark_insert AFTER INSERT ON triage_mark BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_measurement_insert AFTER INSERT ON measurement BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_teach_back_insert AFTER INSERT ON teach_back BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_file_entry_insert AFTER INSERT ON file_entry BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_episode_insert AFTER INSERT ON episode BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_episode_update AFTER UPDATE ON episode BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_patient_update AFTER UPDATE ON patient BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.id; END;
--> statement-breakpoint
CREATE TRIGGER triage_stale_clinic_update AFTER UPDATE ON clinic BEGIN DELETE FROM triage_row WHERE clinic_id = NEW.id; END;
