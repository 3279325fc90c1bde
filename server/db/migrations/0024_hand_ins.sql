CREATE TABLE "hand_in" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"what" text NOT NULL,
	"for_whom" text NOT NULL,
	"due" text,
	"time_zone" text NOT NULL,
	"due_at" timestamp with time zone,
	"by" jsonb NOT NULL,
	"text" text NOT NULL,
	"keeps" boolean NOT NULL,
	"handed_at" timestamp with time zone,
	"release_id" bigint,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "pinned" bigint;--> statement-breakpoint
ALTER TABLE "hand_in" ADD CONSTRAINT "hand_in_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hand_in" ADD CONSTRAINT "hand_in_release_id_release_id_fk" FOREIGN KEY ("release_id") REFERENCES "public"."release"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "hand_in_site" ON "hand_in" USING btree ("site_id");--> statement-breakpoint
ALTER TABLE "pass" ADD CONSTRAINT "pass_pinned_release_id_fk" FOREIGN KEY ("pinned") REFERENCES "public"."release"("id") ON DELETE no action ON UPDATE no action;