CREATE TABLE "call_book" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"calls" jsonb NOT NULL,
	"ready" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "call_set" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"recipe" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "checklist_version" (
	"version" integer PRIMARY KEY NOT NULL,
	"edits" jsonb NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"saved_by" uuid,
	"saved_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "school" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"choices" jsonb NOT NULL,
	"book_id" uuid NOT NULL,
	"ready" boolean DEFAULT false NOT NULL,
	"club_default" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reference_still" (
	"technique" text NOT NULL,
	"checkpoint" text NOT NULL,
	"kind" text NOT NULL,
	"clip_id" uuid NOT NULL,
	"frame" integer NOT NULL,
	CONSTRAINT "reference_still_technique_checkpoint_kind_pk" PRIMARY KEY("technique","checkpoint","kind"),
	CONSTRAINT "kind_of_still" CHECK ("reference_still"."kind" in ('clean', 'fault'))
);
--> statement-breakpoint
ALTER TABLE "strike" ALTER COLUMN "technique" SET DATA TYPE text;--> statement-breakpoint
ALTER TABLE "strike_revision" ALTER COLUMN "technique" SET DATA TYPE text;--> statement-breakpoint
ALTER TABLE "correction" ALTER COLUMN "technique" SET DATA TYPE text;--> statement-breakpoint
ALTER TABLE "trainee" ADD COLUMN "school_id" uuid;--> statement-breakpoint
ALTER TABLE "training_session" ADD COLUMN "holder_id" uuid;--> statement-breakpoint
ALTER TABLE "training_session" ADD COLUMN "holder_stance" "stance";--> statement-breakpoint
INSERT INTO "checklist_version" ("version", "edits", "note") VALUES (1, '{"checkpoints": [], "techniques": [], "checklists": {}}', 'As it ships');--> statement-breakpoint
ALTER TABLE "training_session" ADD COLUMN "checklist_version" integer NOT NULL DEFAULT 1;--> statement-breakpoint
ALTER TABLE "training_session" ALTER COLUMN "checklist_version" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "training_session" ADD COLUMN "judged_by" jsonb NOT NULL DEFAULT '{"name": "Long lines", "choices": {"stance-width": "standard", "round-arm": "home"}, "bookId": "0190c0de-0000-7000-8000-000000000011"}';--> statement-breakpoint
ALTER TABLE "training_session" ALTER COLUMN "judged_by" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "planned" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "anyway" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "checklist_version" ADD CONSTRAINT "checklist_version_saved_by_account_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "school" ADD CONSTRAINT "school_book_id_call_book_id_fk" FOREIGN KEY ("book_id") REFERENCES "public"."call_book"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference_still" ADD CONSTRAINT "reference_still_clip_id_clip_id_fk" FOREIGN KEY ("clip_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "one_club_default" ON "school" USING btree ("club_default") WHERE "school"."club_default";--> statement-breakpoint
ALTER TABLE "trainee" ADD CONSTRAINT "trainee_school_id_school_id_fk" FOREIGN KEY ("school_id") REFERENCES "public"."school"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "training_session_holder_id_trainee_id_fk" FOREIGN KEY ("holder_id") REFERENCES "public"."trainee"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "training_session_checklist_version_checklist_version_version_fk" FOREIGN KEY ("checklist_version") REFERENCES "public"."checklist_version"("version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_checklist_version_checklist_version_version_fk" FOREIGN KEY ("checklist_version") REFERENCES "public"."checklist_version"("version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "training_session_of_holder" ON "training_session" USING btree ("holder_id");--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "nobody_holds_for_themselves" CHECK ("training_session"."holder_id" <> "training_session"."trainee_id");--> statement-breakpoint
DROP TYPE "public"."technique";