CREATE TABLE "visit" (
	"site_id" text NOT NULL,
	"day" text NOT NULL,
	"link" text NOT NULL,
	"path" text NOT NULL,
	"visits" integer NOT NULL,
	"visitors" integer NOT NULL,
	CONSTRAINT "visit_site_id_day_link_path_pk" PRIMARY KEY("site_id","day","link","path")
);
--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "counts_visits" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "visit_day" ON "visit" USING btree ("day");