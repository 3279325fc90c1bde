ALTER TABLE "document_content" ALTER COLUMN "content" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "document_content" ADD COLUMN "stored" text;--> statement-breakpoint
ALTER TABLE "document_content" ADD COLUMN "pictures" jsonb DEFAULT '[]'::jsonb NOT NULL;