CREATE TABLE "link_answer" (
	"site_id" text NOT NULL,
	"address" text NOT NULL,
	"state" text NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	CONSTRAINT "link_answer_site_id_address_pk" PRIMARY KEY("site_id","address")
);
--> statement-breakpoint
CREATE TABLE "page_time" (
	"site_id" text NOT NULL,
	"page_id" text NOT NULL,
	"told" text NOT NULL,
	"published_at" timestamp with time zone NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "page_time_site_id_page_id_pk" PRIMARY KEY("site_id","page_id")
);
--> statement-breakpoint
ALTER TABLE "link_answer" ADD CONSTRAINT "link_answer_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "page_time" ADD CONSTRAINT "page_time_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;