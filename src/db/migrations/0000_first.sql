CREATE TABLE `alert` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`kind` text NOT NULL,
	`created_at` integer NOT NULL,
	`acknowledged_by` text,
	`acknowledged_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `alert_open` ON `alert` (`clinic_id`,`acknowledged_at`,`patient_id`);--> statement-breakpoint
CREATE TABLE `audit_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`clinic_id` text NOT NULL,
	`at` integer NOT NULL,
	`actor_kind` text NOT NULL,
	`actor_id` text NOT NULL,
	`verb` text NOT NULL,
	`subject_kind` text NOT NULL,
	`subject_id` text NOT NULL,
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `audit_event_at` ON `audit_event` (`clinic_id`,`at`);--> statement-breakpoint
CREATE TABLE `day_done` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`local_date` text NOT NULL,
	`done` text NOT NULL,
	`sessions_done` integer NOT NULL,
	`pain` real,
	`events` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`, `local_date`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `guard` (
	`name` text NOT NULL,
	`holds` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `log_conflict` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`id` text NOT NULL,
	`payload_hash` text NOT NULL,
	`payload` text NOT NULL,
	`received_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`, `id`, `payload_hash`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `session_event` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`id` text NOT NULL,
	`session_id` text NOT NULL,
	`session_key` text NOT NULL,
	`programme_id` text NOT NULL,
	`version` integer NOT NULL,
	`local_date` text NOT NULL,
	`body` text NOT NULL,
	`payload_hash` text NOT NULL,
	`device_at` integer NOT NULL,
	`skew_ms` integer NOT NULL,
	`offset_ms` integer NOT NULL,
	`received_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `session_event_day` ON `session_event` (`clinic_id`,`patient_id`,`local_date`);--> statement-breakpoint
CREATE INDEX `session_event_session` ON `session_event` (`clinic_id`,`patient_id`,`session_id`);--> statement-breakpoint
CREATE TABLE `clinic` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`phone` text NOT NULL,
	`emergency_text` text NOT NULL,
	`zone` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `episode` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`complaint` text NOT NULL,
	`opened_on` text NOT NULL,
	`closed_on` text,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `episode_patient` ON `episode` (`clinic_id`,`patient_id`);--> statement-breakpoint
CREATE TABLE `failed_attempt` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`what` text NOT NULL,
	`at` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `failed_attempt_what` ON `failed_attempt` (`what`,`at`);--> statement-breakpoint
CREATE INDEX `failed_attempt_at` ON `failed_attempt` (`at`);--> statement-breakpoint
CREATE TABLE `member` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`email` text NOT NULL,
	`role` text NOT NULL,
	`password_hash` text NOT NULL,
	`active` integer DEFAULT true NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `member_email` ON `member` (`email`);--> statement-breakpoint
CREATE TABLE `member_session` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`last_seen_at` integer NOT NULL,
	`ended_at` integer,
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `member_session_member` ON `member_session` (`clinic_id`,`member_id`);--> statement-breakpoint
CREATE TABLE `patient` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`zone` text NOT NULL,
	`wake_minute` integer NOT NULL,
	`sleep_minute` integer NOT NULL,
	`minutes_a_day` integer,
	`practitioner_id` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`practitioner_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `patient_name` ON `patient` (`clinic_id`,`name`);--> statement-breakpoint
CREATE TABLE `patient_device` (
	`token_hash` text PRIMARY KEY NOT NULL,
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`link_id` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`clinic_id`,`link_id`) REFERENCES `patient_link`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `patient_device_link` ON `patient_device` (`clinic_id`,`link_id`);--> statement-breakpoint
CREATE TABLE `patient_link` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`created_at` integer NOT NULL,
	`opened_at` integer,
	`revoked_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `patient_link_token` ON `patient_link` (`token_hash`);--> statement-breakpoint
CREATE INDEX `patient_link_patient` ON `patient_link` (`clinic_id`,`patient_id`);--> statement-breakpoint
CREATE TABLE `pause` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`from_date` text NOT NULL,
	`to_date` text,
	`cause` text NOT NULL,
	`created_at` integer NOT NULL,
	`ended_by` text,
	`ended_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pause_patient` ON `pause` (`clinic_id`,`patient_id`,`from_date`);--> statement-breakpoint
CREATE TABLE `programme` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`patient_id` text NOT NULL,
	`episode_id` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`episode_id`) REFERENCES `episode`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `programme_patient` ON `programme` (`clinic_id`,`patient_id`);--> statement-breakpoint
CREATE TABLE `programme_line` (
	`clinic_id` text NOT NULL,
	`programme_id` text NOT NULL,
	`number` integer NOT NULL,
	`place` integer NOT NULL,
	`lineage` text NOT NULL,
	`anchor` text NOT NULL,
	`exercise_id` text NOT NULL,
	`exercise` text NOT NULL,
	`dose` text NOT NULL,
	PRIMARY KEY(`clinic_id`, `programme_id`, `number`, `place`),
	FOREIGN KEY (`clinic_id`,`programme_id`,`number`) REFERENCES `programme_version`(`clinic_id`,`programme_id`,`number`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `programme_version` (
	`clinic_id` text NOT NULL,
	`programme_id` text NOT NULL,
	`number` integer NOT NULL,
	`patient_id` text NOT NULL,
	`effective_from` text NOT NULL,
	`review_on` text,
	`rounds` integer NOT NULL,
	`author_id` text NOT NULL,
	`reason` text NOT NULL,
	`grammar` integer NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `programme_id`, `number`),
	FOREIGN KEY (`clinic_id`,`programme_id`) REFERENCES `programme`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `programme_version_patient` ON `programme_version` (`clinic_id`,`patient_id`,`number`);