CREATE TABLE "set_time" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"does" text NOT NULL,
	"local" text NOT NULL,
	"time_zone" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"name" text NOT NULL,
	"done_at" timestamp with time zone,
	"outcome" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "set_time" ADD CONSTRAINT "set_time_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "set_time_site" ON "set_time" USING btree ("site_id");--> statement-breakpoint
CREATE INDEX "set_time_waiting" ON "set_time" USING btree ("at") WHERE done_at is null;--> statement-breakpoint
CREATE INDEX "part_availability" ON "part" USING btree ((content ->> 'to')) WHERE content ->> 'kind' = 'availability';