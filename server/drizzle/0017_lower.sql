ALTER TABLE "covers" ADD COLUMN "lower_in" text;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "warmer_k" double precision;