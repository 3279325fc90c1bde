ALTER TABLE "site" ADD COLUMN "listed" boolean DEFAULT false NOT NULL;--> statement-breakpoint
-- Until now every Public site was in the list, and makers were told so.
UPDATE "site" SET "listed" = true WHERE "height" = 'public';
