CREATE TABLE "captured" (
	"site_id" text NOT NULL,
	"thing" text NOT NULL,
	"capture" text NOT NULL,
	"moment" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "captured_site_id_thing_pk" PRIMARY KEY("site_id","thing")
);
--> statement-breakpoint
ALTER TABLE "captured" ADD CONSTRAINT "captured_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "captured_capture" ON "captured" USING btree ("site_id","capture");--> statement-breakpoint
CREATE INDEX "captured_created" ON "captured" USING btree ("site_id","created_at");