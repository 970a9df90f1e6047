CREATE TABLE `cover` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`member_id` text NOT NULL,
	`covered_by` text NOT NULL,
	`from_date` text NOT NULL,
	`to_date` text NOT NULL,
	`author_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`ended_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`covered_by`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cover_clinic` ON `cover` (`clinic_id`,`to_date`);