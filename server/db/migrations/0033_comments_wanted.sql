ALTER TABLE "account" ADD COLUMN "comment_mails" text DEFAULT 'each' NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "asks" text DEFAULT '' NOT NULL;