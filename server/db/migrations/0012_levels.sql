CREATE TABLE "learned_spread" (
	"only" boolean PRIMARY KEY DEFAULT true NOT NULL,
	"spread" jsonb NOT NULL,
	"series" integer NOT NULL,
	"learned_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "one_spread" CHECK ("learned_spread"."only")
);
--> statement-breakpoint
CREATE TABLE "level_answer" (
	"trainee_id" uuid NOT NULL,
	"technique" text NOT NULL,
	"checkpoint_id" text NOT NULL,
	"rung" smallint NOT NULL,
	"session_id" uuid NOT NULL,
	"made_of" text NOT NULL,
	"answer" jsonb NOT NULL,
	CONSTRAINT "level_answer_trainee_id_technique_checkpoint_id_rung_session_id_pk" PRIMARY KEY("trainee_id","technique","checkpoint_id","rung","session_id"),
	CONSTRAINT "answer_rung_on_ladder" CHECK ("level_answer"."rung" between 1 and 7)
);
--> statement-breakpoint
ALTER TABLE "correction" DROP CONSTRAINT "correction_state_is_known";--> statement-breakpoint
ALTER TABLE "correction_event" DROP CONSTRAINT "correction_event_is_known";--> statement-breakpoint
DROP INDEX "correction_due";--> statement-breakpoint
DROP INDEX "one_open_correction";--> statement-breakpoint
ALTER TABLE "correction" ALTER COLUMN "state" SET DEFAULT 'spotted';--> statement-breakpoint
ALTER TABLE "correction" ADD COLUMN "top_rung" smallint DEFAULT 6 NOT NULL;--> statement-breakpoint
ALTER TABLE "correction" ADD COLUMN "rung" smallint;--> statement-breakpoint
UPDATE "correction" SET
	"rung" = (SELECT "rung" FROM "training_session" WHERE "training_session"."id" = "correction"."opened_in"),
	"state" = CASE WHEN "state" = 'closed' THEN 'closed' WHEN EXISTS (SELECT FROM "correction_event" WHERE "correction_id" = "correction"."id" AND "kind" IN ('cue-given', 're-opened')) THEN 'working' ELSE 'spotted' END;--> statement-breakpoint
ALTER TABLE "correction" ALTER COLUMN "rung" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "correction_event" ADD COLUMN "rung" smallint;--> statement-breakpoint
ALTER TABLE "correction_event" ADD COLUMN "numbers" jsonb;--> statement-breakpoint
ALTER TABLE "level_answer" ADD CONSTRAINT "level_answer_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "level_answer" ADD CONSTRAINT "level_answer_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "level_answer_of_session" ON "level_answer" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "correction_due" ON "correction" USING btree ("recheck_on","id") WHERE "correction"."state" <> 'closed';--> statement-breakpoint
CREATE UNIQUE INDEX "one_open_correction" ON "correction" USING btree ("trainee_id","technique","checkpoint_id") WHERE "correction"."state" <> 'closed';--> statement-breakpoint
ALTER TABLE "correction" ADD CONSTRAINT "correction_rung_on_ladder" CHECK ("correction"."rung" between 1 and 7);--> statement-breakpoint
ALTER TABLE "correction" ADD CONSTRAINT "top_rung_on_ladder" CHECK ("correction"."top_rung" between 1 and 7);--> statement-breakpoint
ALTER TABLE "correction" ADD CONSTRAINT "correction_state_is_known" CHECK ("correction"."state" in ('spotted', 'working', 'holding', 'locked', 'kept', 'relapsed', 'closed'));--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "event_rung_on_ladder" CHECK ("correction_event"."rung" between 1 and 7);--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "step_has_a_rung" CHECK ("correction_event"."kind" not in ('holding', 'locked', 'kept', 'relapsed') or "correction_event"."rung" is not null);--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "step_has_numbers_or_a_reason" CHECK ("correction_event"."kind" not in ('holding', 'locked', 'kept', 'relapsed') or "correction_event"."numbers" is not null or "correction_event"."note" <> '');--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "correction_event_is_known" CHECK ("correction_event"."kind" in ('opened', 'cue-given', 're-checked', 'holding', 'locked', 'kept', 'relapsed', 'rescheduled', 'closed', 're-opened'));