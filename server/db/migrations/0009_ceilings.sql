CREATE TABLE "ceiling" (
	"site_id" text NOT NULL,
	"thing" text NOT NULL,
	"height" text NOT NULL,
	"revision" bigint NOT NULL,
	CONSTRAINT "ceiling_site_id_thing_pk" PRIMARY KEY("site_id","thing")
);
--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "ceilings_known" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "ceiling" ADD CONSTRAINT "ceiling_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;