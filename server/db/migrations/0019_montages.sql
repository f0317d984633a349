CREATE TABLE "montage" (
	"id" uuid PRIMARY KEY NOT NULL,
	"session_id" uuid NOT NULL,
	"technique" text NOT NULL,
	"checkpoint_id" text NOT NULL,
	"which" text NOT NULL,
	"state" text DEFAULT 'working' NOT NULL,
	"progress" double precision DEFAULT 0 NOT NULL,
	"reason" text,
	"asked_by" uuid,
	"asked_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "montage_kind_is_known" CHECK ("montage"."which" in ('faults', 'clean', 'then-now')),
	CONSTRAINT "montage_state_is_known" CHECK ("montage"."state" in ('working', 'ready', 'failed'))
);
--> statement-breakpoint
ALTER TABLE "montage" ADD CONSTRAINT "montage_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "montage" ADD CONSTRAINT "montage_asked_by_account_id_fk" FOREIGN KEY ("asked_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "montage_of_session" ON "montage" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "montage_asked_by" ON "montage" USING btree ("asked_by");