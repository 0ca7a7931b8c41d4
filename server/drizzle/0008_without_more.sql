ALTER TABLE "beds" DROP COLUMN "more";--> statement-breakpoint
ALTER TABLE "covers" DROP COLUMN "more";--> statement-breakpoint
ALTER TABLE "plantings" DROP COLUMN "done";--> statement-breakpoint
ALTER TABLE "structures" DROP COLUMN "more";