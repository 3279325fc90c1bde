CREATE TABLE "second_look" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"who" text NOT NULL,
	"as" jsonb NOT NULL,
	"lines" jsonb NOT NULL,
	"answers" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"key_hash" text NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"answered_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"stamp" text,
	"tree" jsonb
);
--> statement-breakpoint
ALTER TABLE "second_look" ADD CONSTRAINT "second_look_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "second_look_key_hash" ON "second_look" USING btree ("key_hash");--> statement-breakpoint
CREATE INDEX "second_look_site" ON "second_look" USING btree ("site_id","created_at");