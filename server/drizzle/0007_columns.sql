CREATE TABLE "planting_steps" (
	"planting_id" text NOT NULL,
	"step" text NOT NULL,
	"on" text NOT NULL,
	CONSTRAINT "planting_steps_planting_id_step_pk" PRIMARY KEY("planting_id","step")
);
--> statement-breakpoint
CREATE TABLE "structure_openings" (
	"structure_id" text NOT NULL,
	"n" integer NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"area_m2" double precision NOT NULL,
	"wax_start_c" double precision,
	"wax_full_c" double precision,
	CONSTRAINT "structure_openings_structure_id_n_pk" PRIMARY KEY("structure_id","n")
);
--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "zone" text;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "zone_offset_c" double precision;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "at_along_m" double precision;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "at_across_m" double precision;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "crate_count" integer;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "crate_length_m" double precision;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "crate_width_m" double precision;--> statement-breakpoint
ALTER TABLE "beds" ADD COLUMN "crate_plants" integer;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "condition" text;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "kept_at" text;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "made_for" text;--> statement-breakpoint
ALTER TABLE "covers" ADD COLUMN "ways" text[];--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "form" text;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "at_x_m" double precision;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "at_y_m" double precision;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "turn_deg" double precision;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "covered_year" integer;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "snug_ends" integer;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "snug_edges" integer;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "snug_skin" integer;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "footing" text;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "shade" text;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "heat_kind" text;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "heat_w_m2" double precision;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "water_litres" double precision;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "snow_rating_kg_m2" double precision;--> statement-breakpoint
ALTER TABLE "structures" ADD COLUMN "wind_rating_m_s" double precision;--> statement-breakpoint
ALTER TABLE "planting_steps" ADD CONSTRAINT "planting_steps_planting_id_plantings_id_fk" FOREIGN KEY ("planting_id") REFERENCES "public"."plantings"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "structure_openings" ADD CONSTRAINT "structure_openings_structure_id_structures_id_fk" FOREIGN KEY ("structure_id") REFERENCES "public"."structures"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
UPDATE "structures" SET
	"form" = "more"->>'form',
	"at_x_m" = ("more"->'at'->>'xM')::double precision,
	"at_y_m" = ("more"->'at'->>'yM')::double precision,
	"turn_deg" = ("more"->'at'->>'turnDeg')::double precision,
	"covered_year" = ("more"->>'coveredYear')::integer,
	"snug_ends" = ("more"->'snug'->>'ends')::integer,
	"snug_edges" = ("more"->'snug'->>'edges')::integer,
	"snug_skin" = ("more"->'snug'->>'skin')::integer,
	"footing" = "more"->>'footing',
	"shade" = "more"->>'shade',
	"heat_kind" = "more"->'heat'->>'kind',
	"heat_w_m2" = ("more"->'heat'->>'wm2')::double precision,
	"water_litres" = ("more"->>'waterLitres')::double precision,
	"snow_rating_kg_m2" = ("more"->>'snowRatingKgM2')::double precision,
	"wind_rating_m_s" = ("more"->>'windRatingMs')::double precision;--> statement-breakpoint
INSERT INTO "structure_openings" ("structure_id", "n", "name", "kind", "area_m2", "wax_start_c", "wax_full_c")
SELECT s."id", (o.n - 1)::integer, o.value->>'name', o.value->>'kind', (o.value->>'areaM2')::double precision,
	(o.value->'wax'->>'startC')::double precision, (o.value->'wax'->>'fullC')::double precision
FROM "structures" s, jsonb_array_elements(CASE jsonb_typeof(s."more"->'openings') WHEN 'array' THEN s."more"->'openings' ELSE '[]'::jsonb END) WITH ORDINALITY AS o(value, n);--> statement-breakpoint
UPDATE "beds" SET
	"zone" = "more"->>'zone',
	"zone_offset_c" = ("more"->>'zoneOffsetC')::double precision,
	"at_along_m" = ("more"->'at'->>'alongM')::double precision,
	"at_across_m" = ("more"->'at'->>'acrossM')::double precision,
	"crate_count" = ("more"->'crates'->>'count')::integer,
	"crate_length_m" = ("more"->'crates'->>'lengthM')::double precision,
	"crate_width_m" = ("more"->'crates'->>'widthM')::double precision,
	"crate_plants" = ("more"->'crates'->>'plantsEach')::integer;--> statement-breakpoint
UPDATE "covers" SET
	"condition" = "more"->>'condition',
	"kept_at" = "more"->>'keptAt',
	"made_for" = "more"->>'madeFor',
	"ways" = CASE jsonb_typeof("more"->'ways') WHEN 'array' THEN ARRAY(SELECT jsonb_array_elements_text("more"->'ways')) END;--> statement-breakpoint
INSERT INTO "planting_steps" ("planting_id", "step", "on")
SELECT p."id", d.key, d.value FROM "plantings" p, jsonb_each_text(p."done") AS d;
