CREATE TABLE "kept_plans" (
	"key" text PRIMARY KEY NOT NULL,
	"night" text NOT NULL,
	"made_ms" bigint NOT NULL,
	"done" integer NOT NULL,
	"of" integer NOT NULL,
	"plan" "bytea"
);
--> statement-breakpoint
CREATE INDEX "kept_plans_night" ON "kept_plans" USING btree ("night","made_ms");