CREATE TRIGGER guard_holds BEFORE INSERT ON guard BEGIN
  SELECT RAISE(ABORT, 'guard refused: access') WHERE NEW.holds IS NOT 1 AND NEW.name = 'access';
  SELECT RAISE(ABORT, 'guard refused: version') WHERE NEW.holds IS NOT 1 AND NEW.name = 'version';
  SELECT RAISE(ABORT, 'guard refused: day') WHERE NEW.holds IS NOT 1 AND NEW.name = 'day';
  SELECT RAISE(ABORT, 'guard refused: empty') WHERE NEW.holds IS NOT 1 AND NEW.name = 'empty';
  SELECT RAISE(ABORT, 'guard refused: other') WHERE NEW.holds IS NOT 1;
  SELECT RAISE(IGNORE);
END;
--> statement-breakpoint
CREATE TRIGGER session_event_no_update BEFORE UPDATE ON session_event BEGIN SELECT RAISE(ABORT, 'session_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER session_event_no_delete BEFORE DELETE ON session_event BEGIN SELECT RAISE(ABORT, 'session_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER audit_event_no_update BEFORE UPDATE ON audit_event BEGIN SELECT RAISE(ABORT, 'audit_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER audit_event_no_delete BEFORE DELETE ON audit_event BEGIN SELECT RAISE(ABORT, 'audit_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER log_conflict_no_update BEFORE UPDATE ON log_conflict BEGIN SELECT RAISE(ABORT, 'log_conflict is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER log_conflict_no_delete BEFORE DELETE ON log_conflict BEGIN SELECT RAISE(ABORT, 'log_conflict is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER programme_version_no_update BEFORE UPDATE ON programme_version BEGIN SELECT RAISE(ABORT, 'programme_version is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER programme_version_no_delete BEFORE DELETE ON programme_version BEGIN SELECT RAISE(ABORT, 'programme_version is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER programme_line_no_update BEFORE UPDATE ON programme_line BEGIN SELECT RAISE(ABORT, 'programme_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER programme_line_no_delete BEFORE DELETE ON programme_line BEGIN SELECT RAISE(ABORT, 'programme_line is append-only'); END;
