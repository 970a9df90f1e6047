CREATE TABLE `record_change` (
	`seq` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`what` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `record_change_patient` ON `record_change` (`clinic_id`,`patient_id`,`what`);
--> statement-breakpoint
CREATE TRIGGER changed_day_done_insert AFTER INSERT ON day_done BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = NEW.local_date; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, NEW.local_date); END;
--> statement-breakpoint
CREATE TRIGGER changed_day_done_update AFTER UPDATE ON day_done BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = NEW.local_date; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, NEW.local_date); END;
--> statement-breakpoint
CREATE TRIGGER changed_alert_insert AFTER INSERT ON alert BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_alert_update AFTER UPDATE ON alert BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_pause_insert AFTER INSERT ON pause BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_pause_update AFTER UPDATE ON pause BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_patient_link_insert AFTER INSERT ON patient_link BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_patient_link_update AFTER UPDATE ON patient_link BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_programme_version_insert AFTER INSERT ON programme_version BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_screening_insert AFTER INSERT ON screening BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_screening_decision_insert AFTER INSERT ON screening_decision BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_referral_insert AFTER INSERT ON referral BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_referral_answer_insert AFTER INSERT ON referral_answer BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_proposal_decision_insert AFTER INSERT ON proposal_decision BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_triage_mark_insert AFTER INSERT ON triage_mark BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_measurement_insert AFTER INSERT ON measurement BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_teach_back_insert AFTER INSERT ON teach_back BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_file_entry_insert AFTER INSERT ON file_entry BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_episode_insert AFTER INSERT ON episode BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_episode_update AFTER UPDATE ON episode BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.patient_id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.patient_id, 'else'); END;
--> statement-breakpoint
CREATE TRIGGER changed_patient_update AFTER UPDATE ON patient BEGIN DELETE FROM record_change WHERE clinic_id = NEW.clinic_id AND patient_id = NEW.id AND what = 'else'; INSERT INTO record_change (clinic_id, patient_id, what) VALUES (NEW.clinic_id, NEW.id, 'else'); END;
