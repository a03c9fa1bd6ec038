CREATE TABLE `revisions` (
	`profile` text NOT NULL,
	`number` integer NOT NULL,
	`name` text NOT NULL,
	`saved_at` text NOT NULL,
	`content` text NOT NULL,
	PRIMARY KEY(`profile`, `number`)
);
--> statement-breakpoint
CREATE TABLE `sessions` (
	`profile` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL,
	`saved_at` text NOT NULL,
	`content` text NOT NULL
);
