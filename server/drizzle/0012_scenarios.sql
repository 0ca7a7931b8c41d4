CREATE TABLE "scenarios" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"made_at_ms" bigint NOT NULL,
	"plantings" jsonb NOT NULL
);
