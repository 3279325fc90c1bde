CREATE TABLE "comment" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"pass_id" text,
	"page" text NOT NULL,
	"part" text,
	"about" text NOT NULL,
	"writer" text NOT NULL,
	"name" text NOT NULL,
	"words" text NOT NULL,
	"state" text DEFAULT 'waiting' NOT NULL,
	"answer" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"resolved_at" timestamp with time zone,
	"blocked_at" timestamp with time zone,
	"deleted_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "may_comment" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "comment" ADD CONSTRAINT "comment_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "comment" ADD CONSTRAINT "comment_pass_id_pass_id_fk" FOREIGN KEY ("pass_id") REFERENCES "public"."pass"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "comment_site" ON "comment" USING btree ("site_id","created_at");--> statement-breakpoint
CREATE INDEX "comment_writer" ON "comment" USING btree ("site_id","writer");--> statement-breakpoint
CREATE INDEX "comment_pass" ON "comment" USING btree ("pass_id");--> statement-breakpoint
CREATE INDEX "comment_deleted" ON "comment" USING btree ("deleted_at") WHERE deleted_at is not null;--> statement-breakpoint
-- Made without the ids of their pages; whoever asks for one again has it made anew.
DELETE FROM "pass_tree";
