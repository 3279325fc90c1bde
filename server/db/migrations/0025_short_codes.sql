CREATE TABLE "short_code" (
	"code" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"link" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "short_code" ADD CONSTRAINT "short_code_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "short_code_site" ON "short_code" USING btree ("site_id");--> statement-breakpoint
CREATE INDEX "former_address_site" ON "former_address" USING btree ("site_id");