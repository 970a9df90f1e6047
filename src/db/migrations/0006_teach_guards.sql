CREATE TRIGGER teach_back_no_update BEFORE UPDATE ON teach_back BEGIN SELECT RAISE(ABORT, 'teach_back is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER teach_back_no_delete BEFORE DELETE ON teach_back BEGIN SELECT RAISE(ABORT, 'teach_back is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER visit_note_no_update BEFORE UPDATE ON visit_note BEGIN SELECT RAISE(ABORT, 'visit_note is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER visit_note_no_delete BEFORE DELETE ON visit_note BEGIN SELECT RAISE(ABORT, 'visit_note is append-only'); END;
