CREATE TABLE "account_token" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"does" text NOT NULL,
	"email" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "letter" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"to" text NOT NULL,
	"about" jsonb NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	"next" timestamp with time zone,
	"sent_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "confirmed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "coming" text;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "leaves_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "id" text DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "device" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "seen_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "account_token" ADD CONSTRAINT "account_token_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "letter" ADD CONSTRAINT "letter_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "account_token_account" ON "account_token" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "account_token_expires" ON "account_token" USING btree ("expires_at");--> statement-breakpoint
CREATE INDEX "letter_account" ON "letter" USING btree ("account_id","created_at");--> statement-breakpoint
CREATE INDEX "letter_created" ON "letter" USING btree ("created_at");--> statement-breakpoint
CREATE INDEX "letter_next" ON "letter" USING btree ("next") WHERE next is not null;--> statement-breakpoint
CREATE INDEX "account_leaves" ON "account" USING btree ("leaves_at") WHERE leaves_at is not null;--> statement-breakpoint
CREATE INDEX "session_account" ON "session" USING btree ("account_id");