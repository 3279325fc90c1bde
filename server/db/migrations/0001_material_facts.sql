ALTER TABLE "material" ADD COLUMN "tags" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "material" ADD COLUMN "provenance" jsonb DEFAULT '{"whose":"mine","title":"","maker":"","makerUnknown":false,"date":"","source":"","licence":null}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "material" ADD COLUMN "project" text;