ALTER TABLE "comment" ADD COLUMN "resolves_next" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "comment" ADD COLUMN "thanked_at" timestamp with time zone;