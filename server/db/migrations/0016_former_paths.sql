CREATE TABLE "former_path" (
	"site_id" text NOT NULL,
	"entrance" text NOT NULL,
	"path" text NOT NULL,
	"page_id" text NOT NULL,
	CONSTRAINT "former_path_site_id_entrance_path_pk" PRIMARY KEY("site_id","entrance","path")
);
--> statement-breakpoint
ALTER TABLE "former_path" ADD CONSTRAINT "former_path_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;