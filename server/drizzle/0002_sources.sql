CREATE TABLE "observations" (
	"at_ms" bigint PRIMARY KEY NOT NULL,
	"entry" jsonb NOT NULL,
	"source" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "temperatures" (
	"spot" text NOT NULL,
	"at_ms" bigint NOT NULL,
	"c" double precision NOT NULL,
	"source" text NOT NULL,
	CONSTRAINT "temperatures_spot_at_ms_pk" PRIMARY KEY("spot","at_ms")
);
--> statement-breakpoint
ALTER TABLE "forecasts" ADD COLUMN "source" text DEFAULT 'file' NOT NULL;--> statement-breakpoint
ALTER TABLE "forecasts" ADD COLUMN "issued_ms" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "forecasts" ADD COLUMN "doubt" double precision DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "forecasts" ADD COLUMN "typed" jsonb;--> statement-breakpoint
CREATE INDEX "forecasts_to" ON "forecasts" USING btree ("to_ms");--> statement-breakpoint
UPDATE "forecasts" SET "issued_ms" = "imported_ms" WHERE "issued_ms" = 0;
