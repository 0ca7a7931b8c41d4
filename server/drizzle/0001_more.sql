ALTER TABLE "beds" ADD COLUMN "more" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "more" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "more" jsonb DEFAULT '{}'::jsonb NOT NULL;