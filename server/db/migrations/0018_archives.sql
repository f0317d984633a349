CREATE TABLE "archive" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"trainee_id" uuid,
	"name" text DEFAULT '' NOT NULL,
	"upload_id" text,
	"archive_wins" boolean DEFAULT false NOT NULL,
	"state" text DEFAULT 'working' NOT NULL,
	"progress" double precision DEFAULT 0 NOT NULL,
	"bytes" bigint,
	"reason" text,
	"reading" jsonb,
	"asked_by" uuid,
	"asked_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "archive_kind_is_known" CHECK ("archive"."kind" in ('write', 'look', 'read')),
	CONSTRAINT "archive_state_is_known" CHECK ("archive"."state" in ('working', 'ready', 'failed'))
);
--> statement-breakpoint
ALTER TABLE "archive" ADD CONSTRAINT "archive_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "archive" ADD CONSTRAINT "archive_asked_by_account_id_fk" FOREIGN KEY ("asked_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "archive_of_trainee" ON "archive" USING btree ("trainee_id");--> statement-breakpoint
CREATE INDEX "archive_asked_by" ON "archive" USING btree ("asked_by");