CREATE TABLE "kept_answers" (
	"key" text PRIMARY KEY NOT NULL,
	"made_ms" bigint NOT NULL,
	"answer" "bytea" NOT NULL
);
