ALTER TABLE `proposal_decision` ADD `event` text;--> statement-breakpoint
ALTER TABLE `proposal_decision` ADD `asks` text;