CREATE TABLE "outsider_test" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"why" text NOT NULL,
	"release" integer,
	"asked" integer NOT NULL,
	"findings" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "outsider_test" ADD CONSTRAINT "outsider_test_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "outsider_test_site" ON "outsider_test" USING btree ("site_id","created_at");