ALTER TABLE "beds" ADD COLUMN "crate_kg" double precision;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "night_c" double precision;