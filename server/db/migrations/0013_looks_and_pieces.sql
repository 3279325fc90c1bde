CREATE TABLE "release_piece" (
	"site_id" text NOT NULL,
	"name" text NOT NULL,
	"thing" text NOT NULL,
	"kind" text NOT NULL,
	"content" jsonb NOT NULL,
	CONSTRAINT "release_piece_site_id_name_pk" PRIMARY KEY("site_id","name")
);
--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "look" jsonb;--> statement-breakpoint
-- The look of a site was the name of its theme.
UPDATE "site" SET "look" = jsonb_build_object('theme', "theme");--> statement-breakpoint
ALTER TABLE "site" ALTER COLUMN "look" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "release_piece" ADD CONSTRAINT "release_piece_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "release_piece_thing" ON "release_piece" USING btree ("site_id","thing");--> statement-breakpoint
CREATE INDEX "link_key_site" ON "link_key" USING btree ("site_id");--> statement-breakpoint
CREATE INDEX "material_account" ON "material" USING btree ("account_id","revision");--> statement-breakpoint
CREATE INDEX "session_expires" ON "session" USING btree ("expires_at");--> statement-breakpoint
CREATE INDEX "site_listed" ON "site" USING btree ("id") WHERE height = 'public' and address is not null;--> statement-breakpoint
ALTER TABLE "site" DROP COLUMN "theme";