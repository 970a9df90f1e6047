CREATE TABLE `own_figure` (
	`clinic_id` text NOT NULL,
	`id` text NOT NULL,
	`body` text NOT NULL,
	`author_id` text NOT NULL,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`clinic_id`, `id`),
	FOREIGN KEY (`clinic_id`) REFERENCES `clinic`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`clinic_id`,`author_id`) REFERENCES `member`(`clinic_id`,`id`) ON UPDATE no action ON DELETE no action
);

--> statement-breakpoint
CREATE TRIGGER own_figure_no_update BEFORE UPDATE ON own_figure BEGIN SELECT RAISE(ABORT, 'own_figure is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER own_figure_no_delete BEFORE DELETE ON own_figure BEGIN SELECT RAISE(ABORT, 'own_figure is append-only'); END;
