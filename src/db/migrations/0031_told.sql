ALTER TABLE `session_event` ADD `written_by` text;--> statement-breakpoint
ALTER TABLE `session_event` ADD `written_how` text;