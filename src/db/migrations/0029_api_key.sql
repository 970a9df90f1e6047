CREATE TABLE `api_key` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`name` text NOT NULL,
	`token_hash` text NOT NULL,
	`author_id` text NOT NULL,
	`created_at` integer NOT NULL,
	`ended_at` integer,
	`used_at` integer,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `api_key_token` ON `api_key` (`token_hash`);--> statement-breakpoint
CREATE INDEX `api_key_clinic` ON `api_key` (`clinic_id`,`created_at`);