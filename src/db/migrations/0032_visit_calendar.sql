CREATE TABLE `visit_calendar` (
	`clinic_id` text NOT NULL,
	`member_id` text NOT NULL,
	`token_hash` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `member_id`),
	FOREIGN KEY (`clinic_id`,`member_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `visit_calendar_token` ON `visit_calendar` (`token_hash`);