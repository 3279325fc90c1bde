CREATE TABLE "picture_words" (
	"original" text NOT NULL,
	"page" integer NOT NULL,
	"version" integer NOT NULL,
	"words" jsonb,
	CONSTRAINT "picture_words_original_page_version_pk" PRIMARY KEY("original","page","version")
);
