CREATE TABLE `changes_forgotten` (
	`id` integer PRIMARY KEY NOT NULL,
	`up_to` integer NOT NULL
);
--> statement-breakpoint
INSERT INTO `changes_forgotten` (`id`, `up_to`) VALUES (1, 0);
