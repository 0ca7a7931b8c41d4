CREATE TABLE "messages" (
	"key" text PRIMARY KEY NOT NULL,
	"at_ms" bigint NOT NULL,
	"kind" text NOT NULL,
	"subject" text NOT NULL,
	"urgent" boolean NOT NULL,
	"title" text NOT NULL,
	"text" text NOT NULL
);
--> statement-breakpoint
CREATE INDEX "messages_at" ON "messages" USING btree ("at_ms");