CREATE TABLE "material_words" (
	"material" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"revision" bigint NOT NULL,
	"words" "tsvector" NOT NULL
);
--> statement-breakpoint
ALTER TABLE "material_words" ADD CONSTRAINT "material_words_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "material_words_words" ON "material_words" USING gin ("words");--> statement-breakpoint
CREATE INDEX "material_words_account" ON "material_words" USING btree ("account_id");