CREATE TABLE `clinic_exercise` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`body` text NOT NULL,
	`author_id` text NOT NULL,
	`updated_at` integer NOT NULL,
	`retired_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `clinic_exercise_offered` ON `clinic_exercise` (`clinic_id`,`retired_at`);--> statement-breakpoint
CREATE TABLE `desk_draft` (
	`clinic_id` text NOT NULL,
	`patient_id` text NOT NULL,
	`member_id` text NOT NULL,
	`based_on` integer NOT NULL,
	`body` text NOT NULL,
	`updated_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `patient_id`, `member_id`),
	FOREIGN KEY (`clinic_id`,`patient_id`) REFERENCES `patient`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `programme_template` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`body` text NOT NULL,
	`author_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`retired_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `programme_template_offered` ON `programme_template` (`clinic_id`,`retired_at`,`name`);--> statement-breakpoint
ALTER TABLE `clinic` ADD `bands` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `programme_line` ADD `school` text;--> statement-breakpoint
ALTER TABLE `programme_line` ADD `session` text;--> statement-breakpoint
ALTER TABLE `programme_line` ADD `overrides` text DEFAULT '[]' NOT NULL;