CREATE TABLE "account" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"password_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "derivative" (
	"recipe" text PRIMARY KEY NOT NULL,
	"hash" text NOT NULL,
	"bytes" integer NOT NULL,
	"width_px" integer NOT NULL,
	"height_px" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "edit" (
	"revision" bigserial PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"label" text NOT NULL,
	"merge_key" text,
	"changes" jsonb NOT NULL,
	"undone" boolean DEFAULT false NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "former_address" (
	"address" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "link_key" (
	"thing" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"key" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "material" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"kind" text NOT NULL,
	"original" text NOT NULL,
	"file_name" text NOT NULL,
	"bytes" integer NOT NULL,
	"title" text NOT NULL,
	"caption" text NOT NULL,
	"alt" text NOT NULL,
	"taken_on" text,
	"facts" jsonb NOT NULL,
	"fixes" jsonb NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "page" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"kind" text NOT NULL,
	"parent" text,
	"rank" text COLLATE "C" NOT NULL,
	"slug" text NOT NULL,
	"title" text NOT NULL,
	"summary" text NOT NULL,
	"height" text NOT NULL,
	"opening" jsonb NOT NULL,
	"facts" jsonb NOT NULL,
	"parts" jsonb NOT NULL,
	"revision" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "pass" (
	"id" text PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"label" text NOT NULL,
	"covers" jsonb,
	"key" text NOT NULL,
	"opens_at" timestamp with time zone,
	"closes_at" timestamp with time zone,
	"password_hash" text,
	"may_comment" boolean DEFAULT false NOT NULL,
	"on" boolean DEFAULT true NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "pass_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "release" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"site_id" text NOT NULL,
	"number" integer NOT NULL,
	"name" text NOT NULL,
	"source" jsonb NOT NULL,
	"manifest" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rendered_page" (
	"input" text PRIMARY KEY NOT NULL,
	"file" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "session" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "site" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"title" text NOT NULL,
	"height" text NOT NULL,
	"address" text,
	"search_engines" boolean NOT NULL,
	"theme" text NOT NULL,
	"revision" bigint NOT NULL,
	"live_release" bigint,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "edit" ADD CONSTRAINT "edit_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "former_address" ADD CONSTRAINT "former_address_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "link_key" ADD CONSTRAINT "link_key_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "material" ADD CONSTRAINT "material_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "page" ADD CONSTRAINT "page_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pass" ADD CONSTRAINT "pass_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "release" ADD CONSTRAINT "release_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "site_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "account_email" ON "account" USING btree ("email");--> statement-breakpoint
CREATE INDEX "edit_site" ON "edit" USING btree ("site_id","revision");--> statement-breakpoint
CREATE UNIQUE INDEX "link_key_key" ON "link_key" USING btree ("key");--> statement-breakpoint
CREATE UNIQUE INDEX "material_original" ON "material" USING btree ("account_id","original");--> statement-breakpoint
CREATE INDEX "page_site" ON "page" USING btree ("site_id");--> statement-breakpoint
CREATE UNIQUE INDEX "release_number" ON "release" USING btree ("site_id","number");--> statement-breakpoint
CREATE UNIQUE INDEX "site_address" ON "site" USING btree ("address");--> statement-breakpoint
CREATE INDEX "site_account" ON "site" USING btree ("account_id");