CREATE TABLE "climate_days" (
	"record" text NOT NULL,
	"date" text NOT NULL,
	"low_c" double precision NOT NULL,
	"high_c" double precision NOT NULL,
	CONSTRAINT "climate_days_record_date_pk" PRIMARY KEY("record","date")
);
