CREATE TABLE "picture_feature" (
	"original" text NOT NULL,
	"version" integer NOT NULL,
	"features" jsonb NOT NULL,
	CONSTRAINT "picture_feature_original_version_pk" PRIMARY KEY("original","version")
);
