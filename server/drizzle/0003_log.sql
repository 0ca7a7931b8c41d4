CREATE TABLE "cover_spans" (
	"on_id" text PRIMARY KEY NOT NULL,
	"off_id" text,
	"bed_id" text NOT NULL,
	"cover_id" text NOT NULL,
	"from_ms" bigint NOT NULL,
	"to_ms" bigint
);
--> statement-breakpoint
ALTER TABLE "records" ADD COLUMN "subject" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "records" ADD COLUMN "void" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "records" ADD COLUMN "actor" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "records" ADD COLUMN "device" text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX "cover_spans_to" ON "cover_spans" USING btree ("to_ms");--> statement-breakpoint
CREATE INDEX "cover_spans_bed" ON "cover_spans" USING btree ("bed_id");--> statement-breakpoint
CREATE INDEX "records_seq" ON "records" USING btree ("seq");--> statement-breakpoint
CREATE INDEX "records_subject" ON "records" USING btree ("subject","kind","at_ms");--> statement-breakpoint
UPDATE "records" SET "subject" = COALESCE("data"->>'retracts', "data"->>'plantingId', "data"->>'structureId', "data"->>'spot', "data"->>'bedId', '');
