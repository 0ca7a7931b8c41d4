ALTER TABLE "plantings" ADD COLUMN "how" text;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "planned" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "plantings" ADD COLUMN "done" jsonb DEFAULT '{}'::jsonb NOT NULL;