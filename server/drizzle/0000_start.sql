CREATE TABLE "beds" (
	"id" text PRIMARY KEY NOT NULL,
	"structure_id" text NOT NULL,
	"name" text NOT NULL,
	"length_m" double precision NOT NULL,
	"width_m" double precision NOT NULL,
	"rows" integer NOT NULL,
	"on" text NOT NULL,
	"texture" text NOT NULL,
	"wetness" text NOT NULL,
	"mulch_m" double precision NOT NULL,
	"hoop_height_m" double precision NOT NULL,
	"order" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "covers" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"material" text NOT NULL,
	"plies" integer NOT NULL,
	"length_m" double precision NOT NULL,
	"width_m" double precision NOT NULL,
	"count" integer NOT NULL,
	"use" text NOT NULL,
	"minutes" double precision NOT NULL,
	"order" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "farm" (
	"id" text PRIMARY KEY NOT NULL,
	"settings" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "forecasts" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"imported_ms" bigint NOT NULL,
	"from_ms" bigint NOT NULL,
	"to_ms" bigint NOT NULL,
	"entries" jsonb NOT NULL,
	"active" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "meta" (
	"key" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "nights" (
	"night" text PRIMARY KEY NOT NULL,
	"issued_ms" bigint NOT NULL,
	"data" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "plantings" (
	"id" text PRIMARY KEY NOT NULL,
	"bed_id" text NOT NULL,
	"crop" text NOT NULL,
	"cultivar" text NOT NULL,
	"from_row" integer NOT NULL,
	"to_row" integer NOT NULL,
	"length_m" double precision NOT NULL,
	"planted_on" text NOT NULL,
	"cleared_on" text,
	"aim" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "records" (
	"id" text PRIMARY KEY NOT NULL,
	"seq" bigint GENERATED ALWAYS AS IDENTITY (sequence name "records_seq_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"kind" text NOT NULL,
	"at_ms" bigint NOT NULL,
	"recorded_ms" bigint NOT NULL,
	"data" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "structures" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"shape" text NOT NULL,
	"sides" text NOT NULL,
	"length_m" double precision NOT NULL,
	"width_m" double precision NOT NULL,
	"height_m" double precision NOT NULL,
	"material" text NOT NULL,
	"plies" integer NOT NULL,
	"tightness" text NOT NULL,
	"vent_area_m2" double precision NOT NULL,
	"order" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "beds" ADD CONSTRAINT "beds_structure_id_structures_id_fk" FOREIGN KEY ("structure_id") REFERENCES "public"."structures"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plantings" ADD CONSTRAINT "plantings_bed_id_beds_id_fk" FOREIGN KEY ("bed_id") REFERENCES "public"."beds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "records_at" ON "records" USING btree ("at_ms");--> statement-breakpoint
CREATE INDEX "records_kind" ON "records" USING btree ("kind","at_ms");