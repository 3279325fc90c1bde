CREATE TABLE "pass_tree" (
	"release_id" bigint NOT NULL,
	"site_id" text NOT NULL,
	"opens" text NOT NULL,
	"tree" jsonb NOT NULL,
	CONSTRAINT "pass_tree_release_id_opens_pk" PRIMARY KEY("release_id","opens")
);
--> statement-breakpoint
ALTER TABLE "pass" DROP CONSTRAINT "pass_key_unique";--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "for_whom" text NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "opens" jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "from" text;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "until" text;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "time_zone" text NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "may_download" boolean NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "key_hash" text NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "generation" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "pass" ADD COLUMN "deleted_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "pass_tree" ADD CONSTRAINT "pass_tree_release_id_release_id_fk" FOREIGN KEY ("release_id") REFERENCES "public"."release"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "pass_tree_site" ON "pass_tree" USING btree ("site_id");--> statement-breakpoint
CREATE UNIQUE INDEX "pass_key_hash" ON "pass" USING btree ("key_hash");--> statement-breakpoint
CREATE INDEX "pass_site" ON "pass" USING btree ("site_id");--> statement-breakpoint
CREATE INDEX "pass_deleted" ON "pass" USING btree ("deleted_at") WHERE deleted_at is not null;--> statement-breakpoint
ALTER TABLE "pass" DROP COLUMN "covers";--> statement-breakpoint
ALTER TABLE "pass" DROP COLUMN "key";--> statement-breakpoint
ALTER TABLE "pass" DROP COLUMN "may_comment";