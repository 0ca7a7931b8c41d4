CREATE TABLE "cultivar_figures" (
	"cultivar_id" text NOT NULL,
	"figure" text NOT NULL,
	"value" double precision NOT NULL,
	CONSTRAINT "cultivar_figures_cultivar_id_figure_pk" PRIMARY KEY("cultivar_id","figure")
);
--> statement-breakpoint
CREATE TABLE "cultivars" (
	"id" text PRIMARY KEY NOT NULL,
	"crop" text NOT NULL,
	"name" text NOT NULL,
	"liked" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "seed_lots" (
	"id" text PRIMARY KEY NOT NULL,
	"crop" text NOT NULL,
	"cultivar" text NOT NULL,
	"year" integer NOT NULL,
	"tested_share" double precision,
	"tested_on" text,
	"grams" double precision,
	"seeds" integer,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "night_hardness" (
	"planting_id" text NOT NULL,
	"night" text NOT NULL,
	"hardening" double precision NOT NULL,
	CONSTRAINT "night_hardness_planting_id_night_pk" PRIMARY KEY("planting_id","night")
);
--> statement-breakpoint
ALTER TABLE "cultivar_figures" ADD CONSTRAINT "cultivar_figures_cultivar_id_cultivars_id_fk" FOREIGN KEY ("cultivar_id") REFERENCES "public"."cultivars"("id") ON DELETE cascade ON UPDATE no action;