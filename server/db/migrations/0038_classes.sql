CREATE TABLE "class_entry" (
	"id" text PRIMARY KEY NOT NULL,
	"group_id" text,
	"site_id" text NOT NULL,
	"hand_in_id" text NOT NULL,
	"pass_id" text,
	"class_name" text NOT NULL,
	"by" text NOT NULL,
	"name" text NOT NULL,
	"ticked" jsonb,
	"asked" text,
	"asked_at" timestamp with time zone,
	"asked_done_at" timestamp with time zone,
	"writing" jsonb DEFAULT '{"lines":{},"words":""}'::jsonb NOT NULL,
	"given_back" jsonb,
	"given_back_at" timestamp with time zone,
	"ended_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "maker_group" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"name" text NOT NULL,
	"people" jsonb NOT NULL,
	"list" jsonb,
	"revision" integer DEFAULT 1 NOT NULL,
	"class_page" jsonb,
	"key_hash" text,
	"generation" integer DEFAULT 1 NOT NULL,
	"ended_at" timestamp with time zone,
	"deleted_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "class_entry" ADD CONSTRAINT "class_entry_group_id_maker_group_id_fk" FOREIGN KEY ("group_id") REFERENCES "public"."maker_group"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "class_entry" ADD CONSTRAINT "class_entry_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "class_entry" ADD CONSTRAINT "class_entry_hand_in_id_hand_in_id_fk" FOREIGN KEY ("hand_in_id") REFERENCES "public"."hand_in"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "class_entry" ADD CONSTRAINT "class_entry_pass_id_pass_id_fk" FOREIGN KEY ("pass_id") REFERENCES "public"."pass"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "maker_group" ADD CONSTRAINT "maker_group_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "class_entry_hand_in" ON "class_entry" USING btree ("hand_in_id");--> statement-breakpoint
CREATE UNIQUE INDEX "class_entry_once" ON "class_entry" USING btree ("group_id","site_id");--> statement-breakpoint
CREATE INDEX "class_entry_site" ON "class_entry" USING btree ("site_id");--> statement-breakpoint
CREATE INDEX "class_entry_pass" ON "class_entry" USING btree ("pass_id");--> statement-breakpoint
CREATE INDEX "maker_group_account" ON "maker_group" USING btree ("account_id","created_at");--> statement-breakpoint
CREATE UNIQUE INDEX "maker_group_key_hash" ON "maker_group" USING btree ("key_hash");--> statement-breakpoint
CREATE INDEX "maker_group_deleted" ON "maker_group" USING btree ("deleted_at") WHERE deleted_at is not null;