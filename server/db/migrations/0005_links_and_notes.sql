DROP INDEX "material_original";--> statement-breakpoint
CREATE UNIQUE INDEX "material_original" ON "material" USING btree ("account_id","kind","original") WHERE kind <> 'note';