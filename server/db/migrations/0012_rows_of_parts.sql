CREATE TABLE "part" (
	"page_id" text NOT NULL,
	"id" text NOT NULL,
	"site_id" text NOT NULL,
	"content" jsonb NOT NULL,
	"revision" bigint NOT NULL,
	CONSTRAINT "part_page_id_id_pk" PRIMARY KEY("page_id","id")
);
--> statement-breakpoint
ALTER TABLE "material" ADD COLUMN "version" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "page" ADD COLUMN "content" jsonb;--> statement-breakpoint
ALTER TABLE "page" ADD COLUMN "part_order" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "part" ADD CONSTRAINT "part_page_id_page_id_fk" FOREIGN KEY ("page_id") REFERENCES "public"."page"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- What a kind of page has of its own stands in one column now, without a version: data of before has none.
UPDATE "page" SET
	"content" = jsonb_build_object('summary', "summary", 'cover', "cover", 'opening', "opening", 'facts', "facts"),
	"part_order" = (SELECT coalesce(jsonb_agg(one -> 'id' ORDER BY at), '[]') FROM jsonb_array_elements("parts") WITH ORDINALITY AS p (one, at));--> statement-breakpoint
INSERT INTO "part" ("page_id", "id", "site_id", "content", "revision")
	SELECT "page"."id", one ->> 'id', "site_id", one, "revision" FROM "page", jsonb_array_elements("parts") AS p (one)
	ON CONFLICT DO NOTHING;--> statement-breakpoint
ALTER TABLE "page" ALTER COLUMN "content" SET NOT NULL;--> statement-breakpoint
CREATE INDEX "part_site" ON "part" USING btree ("site_id");--> statement-breakpoint
ALTER TABLE "page" DROP COLUMN "summary";--> statement-breakpoint
ALTER TABLE "page" DROP COLUMN "cover";--> statement-breakpoint
ALTER TABLE "page" DROP COLUMN "opening";--> statement-breakpoint
ALTER TABLE "page" DROP COLUMN "facts";--> statement-breakpoint
ALTER TABLE "page" DROP COLUMN "parts";