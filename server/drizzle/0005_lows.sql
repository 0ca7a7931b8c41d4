CREATE TABLE "night_lows" (
	"bed_id" text NOT NULL,
	"night" text NOT NULL,
	"leaf_c" double precision NOT NULL,
	CONSTRAINT "night_lows_bed_id_night_pk" PRIMARY KEY("bed_id","night")
);
