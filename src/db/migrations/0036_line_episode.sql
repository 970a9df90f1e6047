CREATE TABLE `episode_at_hand` (
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`episode_id` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`, `member_id`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`episode_id`) REFERENCES `episode`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `programme_line` ADD `episode_id` text;--> statement-breakpoint
-- A line is for a complaint of its own patient; null in rows from before it was kept.
CREATE TRIGGER programme_line_of_episode BEFORE INSERT ON programme_line WHEN NEW.episode_id IS NOT NULL BEGIN SELECT RAISE(ABORT, 'programme_line is of no episode of this patient')
WHERE NOT EXISTS (SELECT 1 FROM episode JOIN programme ON programme.clinic_id = episode.clinic_id AND programme.patient_id = episode.patient_id WHERE episode.clinic_id = NEW.clinic_id AND episode.id = NEW.episode_id AND programme.id = NEW.programme_id); END;
