ALTER TABLE "beds" ADD COLUMN "mix_on" text;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "picked" text;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "for_seed" boolean DEFAULT false NOT NULL;