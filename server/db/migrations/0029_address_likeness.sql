ALTER TABLE "former_address" ADD COLUMN "likeness" text;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "address_likeness" text;--> statement-breakpoint
-- What addresses look like; of small letters, digits and hyphens the table of UTS 39 changes these three.
UPDATE "former_address" SET "likeness" = replace(translate("address", '01', 'ol'), 'm', 'rn');--> statement-breakpoint
UPDATE "site" SET "address_likeness" = replace(translate("address", '01', 'ol'), 'm', 'rn');--> statement-breakpoint
ALTER TABLE "former_address" ALTER COLUMN "likeness" SET NOT NULL;--> statement-breakpoint
CREATE INDEX "former_address_likeness" ON "former_address" USING btree ("likeness");--> statement-breakpoint
CREATE INDEX "site_address_likeness" ON "site" USING btree ("address_likeness");
