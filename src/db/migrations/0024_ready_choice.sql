CREATE TABLE `ready_choice` (
	`clinic_id` text NOT NULL,
	`ready_id` text NOT NULL,
	`author_id` text NOT NULL,
	`updated_at` integer NOT NULL,
	`retired_at` integer,
	PRIMARY KEY(`clinic_id`, `ready_id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
