CREATE TABLE `settings` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `revisions` ADD `label` text;--> statement-breakpoint
ALTER TABLE `revisions` ADD `own_text` text;