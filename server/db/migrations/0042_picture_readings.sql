CREATE TABLE "picture_reading" (
	"original" text NOT NULL,
	"page" integer NOT NULL,
	"version" integer NOT NULL,
	"words" jsonb,
	"faces" jsonb,
	CONSTRAINT "picture_reading_original_page_version_pk" PRIMARY KEY("original","page","version")
);
--> statement-breakpoint
DROP TABLE "picture_words" CASCADE;