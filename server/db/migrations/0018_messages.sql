CREATE TABLE "message" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"site_id" text NOT NULL,
	"page" text NOT NULL,
	"name" text NOT NULL,
	"from" text NOT NULL,
	"words" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"read_at" timestamp with time zone,
	"deleted_at" timestamp with time zone,
	"mailed_at" timestamp with time zone,
	"mail_tries" integer DEFAULT 0 NOT NULL,
	"mail_next" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "copies" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "message" ADD CONSTRAINT "message_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "message_account" ON "message" USING btree ("account_id","created_at");--> statement-breakpoint
CREATE INDEX "message_mail_next" ON "message" USING btree ("mail_next") WHERE mail_next is not null;--> statement-breakpoint
CREATE INDEX "message_deleted" ON "message" USING btree ("deleted_at") WHERE deleted_at is not null;