-- Old rows gain the episode and the visit they belong to; nothing else of them changes. The triggers
-- that keep them as they are stand aside for these statements alone.
DROP TRIGGER session_event_no_update;
--> statement-breakpoint
DROP TRIGGER programme_version_no_update;
--> statement-breakpoint
DROP TRIGGER screening_no_update;
--> statement-breakpoint
DROP TRIGGER screening_decision_no_update;
--> statement-breakpoint
DROP TRIGGER referral_no_update;
--> statement-breakpoint
DROP TRIGGER referral_answer_no_update;
--> statement-breakpoint
DROP TRIGGER file_entry_no_update;
--> statement-breakpoint
DROP TRIGGER measurement_no_update;
--> statement-breakpoint
DROP TRIGGER photo_marking_no_update;
--> statement-breakpoint
DROP TRIGGER finding_no_update;
--> statement-breakpoint
DROP TRIGGER teach_back_no_update;
--> statement-breakpoint
DROP TRIGGER visit_note_no_update;
--> statement-breakpoint
DROP TRIGGER proposal_decision_no_update;
--> statement-breakpoint
DROP TRIGGER outcome_letter_no_update;
--> statement-breakpoint
-- The episode that was open on the record's day, else the patient's first.
UPDATE screening SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = screening.clinic_id AND e.patient_id = screening.patient_id
    AND e.opened_on <= screening.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = screening.clinic_id AND e.patient_id = screening.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE referral SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = referral.clinic_id AND e.patient_id = referral.patient_id
    AND e.opened_on <= referral.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = referral.clinic_id AND e.patient_id = referral.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE file_entry SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = file_entry.clinic_id AND e.patient_id = file_entry.patient_id
    AND e.opened_on <= file_entry.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = file_entry.clinic_id AND e.patient_id = file_entry.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE measurement SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = measurement.clinic_id AND e.patient_id = measurement.patient_id
    AND e.opened_on <= measurement.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = measurement.clinic_id AND e.patient_id = measurement.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE finding SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = finding.clinic_id AND e.patient_id = finding.patient_id
    AND e.opened_on <= finding.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = finding.clinic_id AND e.patient_id = finding.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE teach_back SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = teach_back.clinic_id AND e.patient_id = teach_back.patient_id
    AND e.opened_on <= teach_back.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = teach_back.clinic_id AND e.patient_id = teach_back.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE visit_note SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = visit_note.clinic_id AND e.patient_id = visit_note.patient_id
    AND e.opened_on <= visit_note.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = visit_note.clinic_id AND e.patient_id = visit_note.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE proposal_decision SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = proposal_decision.clinic_id AND e.patient_id = proposal_decision.patient_id
    AND e.opened_on <= proposal_decision.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = proposal_decision.clinic_id AND e.patient_id = proposal_decision.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE outcome_letter SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = outcome_letter.clinic_id AND e.patient_id = outcome_letter.patient_id
    AND e.opened_on <= outcome_letter.local_date ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = outcome_letter.clinic_id AND e.patient_id = outcome_letter.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE photo SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = photo.clinic_id AND e.patient_id = photo.patient_id
    AND e.opened_on <= photo.taken_on ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = photo.clinic_id AND e.patient_id = photo.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
-- These keep no local date: a day later than the instant is late enough in every zone.
UPDATE screening_decision SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = screening_decision.clinic_id AND e.patient_id = screening_decision.patient_id
    AND e.opened_on <= date(screening_decision.created_at / 1000, 'unixepoch', '+1 day') ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = screening_decision.clinic_id AND e.patient_id = screening_decision.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE referral_answer SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = referral_answer.clinic_id AND e.patient_id = referral_answer.patient_id
    AND e.opened_on <= date(referral_answer.created_at / 1000, 'unixepoch', '+1 day') ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = referral_answer.clinic_id AND e.patient_id = referral_answer.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE photo_marking SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = photo_marking.clinic_id AND e.patient_id = photo_marking.patient_id
    AND e.opened_on <= date(photo_marking.created_at / 1000, 'unixepoch', '+1 day') ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = photo_marking.clinic_id AND e.patient_id = photo_marking.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE alert SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = alert.clinic_id AND e.patient_id = alert.patient_id
    AND e.opened_on <= date(alert.created_at / 1000, 'unixepoch', '+1 day') ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = alert.clinic_id AND e.patient_id = alert.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
UPDATE pause SET episode_id = coalesce(
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = pause.clinic_id AND e.patient_id = pause.patient_id
    AND e.opened_on <= date(pause.created_at / 1000, 'unixepoch', '+1 day') ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = pause.clinic_id AND e.patient_id = pause.patient_id
    ORDER BY e.opened_on, e.rowid LIMIT 1));
--> statement-breakpoint
-- A programme knows its episode, and so do the sessions played from it.
UPDATE programme_version SET episode_id = (SELECT p.episode_id FROM programme AS p
  WHERE p.clinic_id = programme_version.clinic_id AND p.id = programme_version.programme_id);
--> statement-breakpoint
UPDATE session_event SET episode_id = coalesce(
  (SELECT p.episode_id FROM programme AS p
    WHERE p.clinic_id = session_event.clinic_id AND p.id = session_event.programme_id),
  (SELECT e.id FROM episode AS e WHERE e.clinic_id = session_event.clinic_id
    AND e.patient_id = session_event.patient_id ORDER BY e.opened_on DESC, e.rowid DESC LIMIT 1));
--> statement-breakpoint
-- A visit for every day on which a member of the clinic recorded something.
INSERT OR IGNORE INTO visit (clinic_id, id, patient_id, episode_id, local_date, created_at)
SELECT r.clinic_id, lower(hex(randomblob(4))) || '-' || lower(hex(randomblob(2))) || '-4' || substr(lower(hex(randomblob(2))), 2) || '-8' || substr(lower(hex(randomblob(2))), 2) || '-' || lower(hex(randomblob(6))), r.patient_id, r.episode_id, r.local_date, min(r.created_at) FROM (
  SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM screening
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM referral
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM file_entry
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM measurement
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM finding
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM teach_back
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM visit_note
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM proposal_decision
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, local_date AS local_date FROM outcome_letter
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at, taken_on AS local_date FROM photo
) AS r WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = r.clinic_id AND m.id = r.author_id)
GROUP BY r.clinic_id, r.patient_id, r.episode_id, r.local_date;
--> statement-breakpoint
UPDATE screening SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = screening.clinic_id
  AND v.episode_id = screening.episode_id AND v.local_date = screening.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = screening.clinic_id AND m.id = screening.author_id);
--> statement-breakpoint
UPDATE referral SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = referral.clinic_id
  AND v.episode_id = referral.episode_id AND v.local_date = referral.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = referral.clinic_id AND m.id = referral.author_id);
--> statement-breakpoint
UPDATE file_entry SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = file_entry.clinic_id
  AND v.episode_id = file_entry.episode_id AND v.local_date = file_entry.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = file_entry.clinic_id AND m.id = file_entry.author_id);
--> statement-breakpoint
UPDATE measurement SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = measurement.clinic_id
  AND v.episode_id = measurement.episode_id AND v.local_date = measurement.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = measurement.clinic_id AND m.id = measurement.author_id);
--> statement-breakpoint
UPDATE finding SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = finding.clinic_id
  AND v.episode_id = finding.episode_id AND v.local_date = finding.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = finding.clinic_id AND m.id = finding.author_id);
--> statement-breakpoint
UPDATE teach_back SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = teach_back.clinic_id
  AND v.episode_id = teach_back.episode_id AND v.local_date = teach_back.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = teach_back.clinic_id AND m.id = teach_back.author_id);
--> statement-breakpoint
UPDATE visit_note SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = visit_note.clinic_id
  AND v.episode_id = visit_note.episode_id AND v.local_date = visit_note.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = visit_note.clinic_id AND m.id = visit_note.author_id);
--> statement-breakpoint
UPDATE proposal_decision SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = proposal_decision.clinic_id
  AND v.episode_id = proposal_decision.episode_id AND v.local_date = proposal_decision.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = proposal_decision.clinic_id AND m.id = proposal_decision.author_id);
--> statement-breakpoint
UPDATE outcome_letter SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = outcome_letter.clinic_id
  AND v.episode_id = outcome_letter.episode_id AND v.local_date = outcome_letter.local_date)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = outcome_letter.clinic_id AND m.id = outcome_letter.author_id);
--> statement-breakpoint
UPDATE photo SET visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = photo.clinic_id
  AND v.episode_id = photo.episode_id AND v.local_date = photo.taken_on)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = photo.clinic_id AND m.id = photo.author_id);
--> statement-breakpoint
-- Without a local date: the visit that began within twelve hours of it, the nearest.
UPDATE screening_decision SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - screening_decision.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = screening_decision.clinic_id AND v.episode_id = screening_decision.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = screening_decision.clinic_id AND m.id = screening_decision.author_id);
--> statement-breakpoint
UPDATE referral_answer SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - referral_answer.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = referral_answer.clinic_id AND v.episode_id = referral_answer.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = referral_answer.clinic_id AND m.id = referral_answer.author_id);
--> statement-breakpoint
UPDATE photo_marking SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - photo_marking.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = photo_marking.clinic_id AND v.episode_id = photo_marking.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = photo_marking.clinic_id AND m.id = photo_marking.author_id);
--> statement-breakpoint
UPDATE programme_version SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - programme_version.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = programme_version.clinic_id AND v.episode_id = programme_version.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = programme_version.clinic_id AND m.id = programme_version.author_id);
--> statement-breakpoint
-- Nothing else was recorded around it: a visit of its own, on the day by universal time.
INSERT OR IGNORE INTO visit (clinic_id, id, patient_id, episode_id, local_date, created_at)
SELECT r.clinic_id, lower(hex(randomblob(4))) || '-' || lower(hex(randomblob(2))) || '-4' || substr(lower(hex(randomblob(2))), 2) || '-8' || substr(lower(hex(randomblob(2))), 2) || '-' || lower(hex(randomblob(6))), r.patient_id, r.episode_id, date(r.created_at / 1000, 'unixepoch'), min(r.created_at) FROM (
  SELECT clinic_id, patient_id, episode_id, author_id, created_at FROM screening_decision WHERE visit_id IS NULL
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at FROM referral_answer WHERE visit_id IS NULL
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at FROM photo_marking WHERE visit_id IS NULL
  UNION ALL SELECT clinic_id, patient_id, episode_id, author_id, created_at FROM programme_version WHERE visit_id IS NULL
) AS r WHERE EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = r.clinic_id AND m.id = r.author_id)
GROUP BY r.clinic_id, r.patient_id, r.episode_id, date(r.created_at / 1000, 'unixepoch');
--> statement-breakpoint
UPDATE screening_decision SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - screening_decision.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = screening_decision.clinic_id AND v.episode_id = screening_decision.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE visit_id IS NULL AND EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = screening_decision.clinic_id AND m.id = screening_decision.author_id);
--> statement-breakpoint
UPDATE referral_answer SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - referral_answer.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = referral_answer.clinic_id AND v.episode_id = referral_answer.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE visit_id IS NULL AND EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = referral_answer.clinic_id AND m.id = referral_answer.author_id);
--> statement-breakpoint
UPDATE photo_marking SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - photo_marking.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = photo_marking.clinic_id AND v.episode_id = photo_marking.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE visit_id IS NULL AND EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = photo_marking.clinic_id AND m.id = photo_marking.author_id);
--> statement-breakpoint
UPDATE programme_version SET visit_id = (SELECT n.id FROM (SELECT v.id, abs(v.created_at - programme_version.created_at) AS far FROM visit AS v
  WHERE v.clinic_id = programme_version.clinic_id AND v.episode_id = programme_version.episode_id) AS n WHERE n.far <= 43200000 ORDER BY n.far LIMIT 1)
WHERE visit_id IS NULL AND EXISTS (SELECT 1 FROM member AS m WHERE m.clinic_id = programme_version.clinic_id AND m.id = programme_version.author_id);
--> statement-breakpoint
CREATE TRIGGER session_event_no_update BEFORE UPDATE ON session_event BEGIN SELECT RAISE(ABORT, 'session_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER programme_version_no_update BEFORE UPDATE ON programme_version BEGIN SELECT RAISE(ABORT, 'programme_version is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER screening_no_update BEFORE UPDATE ON screening BEGIN SELECT RAISE(ABORT, 'screening is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER screening_decision_no_update BEFORE UPDATE ON screening_decision BEGIN SELECT RAISE(ABORT, 'screening_decision is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER referral_no_update BEFORE UPDATE ON referral BEGIN SELECT RAISE(ABORT, 'referral is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER referral_answer_no_update BEFORE UPDATE ON referral_answer BEGIN SELECT RAISE(ABORT, 'referral_answer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER file_entry_no_update BEFORE UPDATE ON file_entry BEGIN SELECT RAISE(ABORT, 'file_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER measurement_no_update BEFORE UPDATE ON measurement BEGIN SELECT RAISE(ABORT, 'measurement is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER photo_marking_no_update BEFORE UPDATE ON photo_marking BEGIN SELECT RAISE(ABORT, 'photo_marking is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER finding_no_update BEFORE UPDATE ON finding BEGIN SELECT RAISE(ABORT, 'finding is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER teach_back_no_update BEFORE UPDATE ON teach_back BEGIN SELECT RAISE(ABORT, 'teach_back is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER visit_note_no_update BEFORE UPDATE ON visit_note BEGIN SELECT RAISE(ABORT, 'visit_note is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER proposal_decision_no_update BEFORE UPDATE ON proposal_decision BEGIN SELECT RAISE(ABORT, 'proposal_decision is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER outcome_letter_no_update BEFORE UPDATE ON outcome_letter BEGIN SELECT RAISE(ABORT, 'outcome_letter is append-only'); END;
--> statement-breakpoint
-- From now on no clinical record is written without its episode, or into another patient's.
CREATE TRIGGER screening_of_episode BEFORE INSERT ON screening BEGIN SELECT RAISE(ABORT, 'screening is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER referral_of_episode BEFORE INSERT ON referral BEGIN SELECT RAISE(ABORT, 'referral is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER file_entry_of_episode BEFORE INSERT ON file_entry BEGIN SELECT RAISE(ABORT, 'file_entry is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER measurement_of_episode BEFORE INSERT ON measurement BEGIN SELECT RAISE(ABORT, 'measurement is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER finding_of_episode BEFORE INSERT ON finding BEGIN SELECT RAISE(ABORT, 'finding is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER teach_back_of_episode BEFORE INSERT ON teach_back BEGIN SELECT RAISE(ABORT, 'teach_back is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER visit_note_of_episode BEFORE INSERT ON visit_note BEGIN SELECT RAISE(ABORT, 'visit_note is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER proposal_decision_of_episode BEFORE INSERT ON proposal_decision BEGIN SELECT RAISE(ABORT, 'proposal_decision is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER outcome_letter_of_episode BEFORE INSERT ON outcome_letter BEGIN SELECT RAISE(ABORT, 'outcome_letter is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER photo_of_episode BEFORE INSERT ON photo BEGIN SELECT RAISE(ABORT, 'photo is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER screening_decision_of_episode BEFORE INSERT ON screening_decision BEGIN SELECT RAISE(ABORT, 'screening_decision is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER referral_answer_of_episode BEFORE INSERT ON referral_answer BEGIN SELECT RAISE(ABORT, 'referral_answer is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER photo_marking_of_episode BEFORE INSERT ON photo_marking BEGIN SELECT RAISE(ABORT, 'photo_marking is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER programme_version_of_episode BEFORE INSERT ON programme_version BEGIN SELECT RAISE(ABORT, 'programme_version is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER alert_of_episode BEFORE INSERT ON alert BEGIN SELECT RAISE(ABORT, 'alert is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER pause_of_episode BEFORE INSERT ON pause BEGIN SELECT RAISE(ABORT, 'pause is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER session_event_of_episode BEFORE INSERT ON session_event BEGIN SELECT RAISE(ABORT, 'session_event is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode WHERE clinic_id = NEW.clinic_id AND id = NEW.episode_id AND patient_id = NEW.patient_id); END;
--> statement-breakpoint
CREATE TRIGGER screening_of_visit BEFORE INSERT ON screening WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'screening is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER referral_of_visit BEFORE INSERT ON referral WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'referral is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER file_entry_of_visit BEFORE INSERT ON file_entry WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'file_entry is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER measurement_of_visit BEFORE INSERT ON measurement WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'measurement is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER finding_of_visit BEFORE INSERT ON finding WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'finding is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER teach_back_of_visit BEFORE INSERT ON teach_back WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'teach_back is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER visit_note_of_visit BEFORE INSERT ON visit_note WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'visit_note is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER proposal_decision_of_visit BEFORE INSERT ON proposal_decision WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'proposal_decision is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER outcome_letter_of_visit BEFORE INSERT ON outcome_letter WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'outcome_letter is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER photo_of_visit BEFORE INSERT ON photo WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'photo is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER screening_decision_of_visit BEFORE INSERT ON screening_decision WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'screening_decision is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER referral_answer_of_visit BEFORE INSERT ON referral_answer WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'referral_answer is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER photo_marking_of_visit BEFORE INSERT ON photo_marking WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'photo_marking is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER programme_version_of_visit BEFORE INSERT ON programme_version WHEN NEW.visit_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'programme_version is of no visit of this episode')
WHERE NOT EXISTS (SELECT 1 FROM visit WHERE clinic_id = NEW.clinic_id AND id = NEW.visit_id AND episode_id = NEW.episode_id); END;
--> statement-breakpoint
CREATE TRIGGER visit_no_update BEFORE UPDATE ON visit BEGIN SELECT RAISE(ABORT, 'visit is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER visit_no_delete BEFORE DELETE ON visit BEGIN SELECT RAISE(ABORT, 'visit is append-only'); END;
