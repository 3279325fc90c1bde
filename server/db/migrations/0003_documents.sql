CREATE TABLE "document_content" (
	"original" text NOT NULL,
	"version" integer NOT NULL,
	"content" jsonb NOT NULL,
	CONSTRAINT "document_content_original_version_pk" PRIMARY KEY("original","version")
);
--> statement-breakpoint
ALTER TABLE "material" ADD COLUMN "transcript" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "material" ADD COLUMN "shown_by" text;--> statement-breakpoint
UPDATE "material" SET "facts" = "facts" || '{"frames":1}'::jsonb WHERE "kind" = 'picture' AND NOT "facts" ? 'frames';
