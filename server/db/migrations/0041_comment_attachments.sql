CREATE TABLE "comment_attachment" (
	"id" text PRIMARY KEY NOT NULL,
	"comment_id" text NOT NULL,
	"file_name" text NOT NULL,
	"kind" text NOT NULL,
	"bytes" integer NOT NULL,
	"stored" text NOT NULL,
	"media_type" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "comment_attachment" ADD CONSTRAINT "comment_attachment_comment_id_comment_id_fk" FOREIGN KEY ("comment_id") REFERENCES "public"."comment"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "comment_attachment_once" ON "comment_attachment" USING btree ("comment_id","stored");