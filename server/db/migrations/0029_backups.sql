CREATE TABLE "backup" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"verified_at" timestamp with time zone NOT NULL,
	"films" integer NOT NULL,
	"bytes" bigint NOT NULL,
	"added" bigint NOT NULL
);
--> statement-breakpoint
CREATE INDEX "backup_by_time" ON "backup" USING btree ("made_at");