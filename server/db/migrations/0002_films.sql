-- One word for one thing: what was called clip in some places and film in others is a film.
ALTER TABLE "clip" RENAME TO "film";--> statement-breakpoint
ALTER TABLE "clip_step" RENAME TO "film_step";--> statement-breakpoint
ALTER TABLE "clip_moments" RENAME TO "film_hits";--> statement-breakpoint
ALTER TABLE "clip_alignment" RENAME TO "film_alignment";--> statement-breakpoint
DO $$
DECLARE
	named record;
BEGIN
	FOR named IN SELECT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'clip_id' LOOP
		EXECUTE format('ALTER TABLE %I RENAME COLUMN clip_id TO film_id', named.table_name);
	END LOOP;
	FOR named IN SELECT conrelid::regclass AS of_table, conname FROM pg_constraint WHERE connamespace = 'public'::regnamespace AND conname LIKE '%clip%' LOOP
		EXECUTE format('ALTER TABLE %s RENAME CONSTRAINT %I TO %I', named.of_table, named.conname, replace(replace(named.conname, 'clip_moments', 'film_hits'), 'clip', 'film'));
	END LOOP;
	FOR named IN SELECT indexname FROM pg_indexes WHERE schemaname = 'public' AND indexname LIKE '%clip%' LOOP
		EXECUTE format('ALTER INDEX %I RENAME TO %I', named.indexname, replace(named.indexname, 'clip', 'film'));
	END LOOP;
END $$;--> statement-breakpoint
-- Lists that grow: text, held by checks.
ALTER TABLE "film" DROP CONSTRAINT "ready_means_playable";--> statement-breakpoint
ALTER TABLE "film_step" DROP CONSTRAINT "work_has_a_worker";--> statement-breakpoint
DROP INDEX "step_under_way";--> statement-breakpoint
ALTER TABLE "film" ALTER COLUMN "state" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "film_step" ALTER COLUMN "state" DROP DEFAULT;--> statement-breakpoint
DO $$
DECLARE
	listed record;
BEGIN
	FOR listed IN
		SELECT c.table_name, c.column_name FROM information_schema.columns c JOIN pg_type t ON t.typname = c.udt_name AND t.typtype = 'e' WHERE c.table_schema = 'public'
	LOOP
		EXECUTE format('ALTER TABLE %I ALTER COLUMN %I SET DATA TYPE text USING %I::text', listed.table_name, listed.column_name, listed.column_name);
	END LOOP;
	FOR listed IN SELECT typname FROM pg_type WHERE typtype = 'e' AND typnamespace = 'public'::regnamespace LOOP
		EXECUTE format('DROP TYPE %I', listed.typname);
	END LOOP;
END $$;--> statement-breakpoint
ALTER TABLE "film" ALTER COLUMN "state" SET DEFAULT 'waiting';--> statement-breakpoint
ALTER TABLE "film_step" ALTER COLUMN "state" SET DEFAULT 'waiting';--> statement-breakpoint
CREATE INDEX "step_under_way" ON "film_step" USING btree ("touched_at") WHERE "film_step"."state" in ('waiting', 'working');--> statement-breakpoint
-- Whom an observation is about was read off the id of its checkpoint.
ALTER TABLE "observation" ADD COLUMN "subject" text NOT NULL DEFAULT 'trainee';--> statement-breakpoint
UPDATE "observation" SET "subject" = 'holder' WHERE starts_with("checkpoint_id", 'ph.');--> statement-breakpoint
ALTER TABLE "observation" ALTER COLUMN "subject" DROP DEFAULT;--> statement-breakpoint
-- What a correction's events come to stands beside them. Of several that are open for one thing, the first stays open.
ALTER TABLE "correction" ADD COLUMN "state" text NOT NULL DEFAULT 'open';--> statement-breakpoint
UPDATE "correction" SET "state" = 'closed' WHERE (
	SELECT "kind" FROM "correction_event" e WHERE e."correction_id" = "correction"."id" AND e."kind" IN ('opened', 'closed', 're-opened')
	ORDER BY e."at" DESC, e."id" DESC LIMIT 1) = 'closed';--> statement-breakpoint
WITH "again" AS (
	UPDATE "correction" SET "state" = 'closed' WHERE "state" = 'open' AND EXISTS (
		SELECT 1 FROM "correction" first WHERE first."state" = 'open' AND first."trainee_id" = "correction"."trainee_id"
			AND first."technique" = "correction"."technique" AND first."checkpoint_id" = "correction"."checkpoint_id" AND first."id" < "correction"."id")
	RETURNING "id")
INSERT INTO "correction_event" ("id", "correction_id", "kind", "note") SELECT gen_random_uuid(), "id", 'closed', 'It was open twice; the first one goes on.' FROM "again";--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "role_is_known" CHECK ("account"."role" in ('head-coach', 'coach', 'trainee'));--> statement-breakpoint
ALTER TABLE "trainee" ADD CONSTRAINT "stance_is_known" CHECK ("trainee"."stance" in ('orthodox', 'southpaw'));--> statement-breakpoint
ALTER TABLE "trainee" ADD CONSTRAINT "grade_is_known" CHECK ("trainee"."grade" in ('beginner', 'improver', 'advanced'));--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "round_kind_is_known" CHECK ("training_session"."round_kind" in ('heavy bag', 'long bag', 'fixed pole', 'uppercut bag', 'speed bag', 'reflex bag', 'focus mitts', 'Thai pads', 'kick shield', 'paddle', 'body shield', 'shadowboxing'));--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "holder_stance_is_known" CHECK ("training_session"."holder_stance" in ('orthodox', 'southpaw'));--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "ready_means_playable" CHECK ("film"."state" <> 'ready' or ("film"."timeline" is not null and "film"."frames" > 0));--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "view_is_known" CHECK ("film"."view" in ('front', 'rear', 'lead-side', 'rear-side', 'quarter'));--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "film_state_is_known" CHECK ("film"."state" in ('waiting', 'working', 'ready', 'failed', 'stopped'));--> statement-breakpoint
ALTER TABLE "film_step" ADD CONSTRAINT "step_state_is_known" CHECK ("film_step"."state" in ('waiting', 'working', 'done', 'skipped', 'failed', 'stopped'));--> statement-breakpoint
ALTER TABLE "film_step" ADD CONSTRAINT "work_has_a_worker" CHECK ("film_step"."state" <> 'working' or "film_step"."worker" is not null);--> statement-breakpoint
-- A rung is one of the ladder only.
UPDATE "round" SET "manner" = 'bell' WHERE "manner" = 'rung';--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_is_of_known_kind" CHECK ("round"."kind" in ('heavy bag', 'long bag', 'fixed pole', 'uppercut bag', 'speed bag', 'reflex bag', 'focus mitts', 'Thai pads', 'kick shield', 'paddle', 'body shield', 'shadowboxing'));--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_manner_is_known" CHECK ("round"."manner" in ('bell', 'called', 'free'));--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "verdict_is_known" CHECK ("observation"."verdict" in ('clean', 'watch', 'fault', 'cant-see'));--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_view_is_known" CHECK ("observation"."view" in ('front', 'rear', 'lead-side', 'rear-side', 'quarter'));--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "subject_is_known" CHECK ("observation"."subject" in ('trainee', 'holder'));--> statement-breakpoint
ALTER TABLE "correction" ADD CONSTRAINT "correction_state_is_known" CHECK ("correction"."state" in ('open', 'closed'));--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "correction_event_is_known" CHECK ("correction_event"."kind" in ('opened', 'cue-given', 're-checked', 'closed', 're-opened'));--> statement-breakpoint
CREATE INDEX "account_of_trainee" ON "account" USING btree ("trainee_id");--> statement-breakpoint
CREATE INDEX "checklists_saved_by" ON "checklist_version" USING btree ("saved_by");--> statement-breakpoint
CREATE INDEX "school_of_book" ON "school" USING btree ("book_id");--> statement-breakpoint
CREATE INDEX "trainee_by_name" ON "trainee" USING btree ("name","id");--> statement-breakpoint
CREATE INDEX "trainee_of_school" ON "trainee" USING btree ("school_id");--> statement-breakpoint
DROP INDEX "training_session_of_trainee";--> statement-breakpoint
CREATE INDEX "training_session_of_trainee" ON "training_session" USING btree ("trainee_id","held_on","id");--> statement-breakpoint
DROP INDEX "training_session_of_holder";--> statement-breakpoint
CREATE INDEX "training_session_of_holder" ON "training_session" USING btree ("holder_id","held_on","id");--> statement-breakpoint
CREATE INDEX "training_session_of_version" ON "training_session" USING btree ("checklist_version");--> statement-breakpoint
CREATE INDEX "film_added_by" ON "film" USING btree ("added_by");--> statement-breakpoint
CREATE INDEX "film_to_review" ON "film" USING btree ("session_id") WHERE not "film"."done";--> statement-breakpoint
CREATE INDEX "hits_changed_by" ON "film_hits" USING btree ("changed_by");--> statement-breakpoint
CREATE INDEX "alignment_of_other" ON "film_alignment" USING btree ("other_id");--> statement-breakpoint
CREATE INDEX "observation_of_version" ON "observation" USING btree ("checklist_version");--> statement-breakpoint
CREATE INDEX "observation_said_by" ON "observation" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "strike_of_technique" ON "strike" USING btree ("technique","id") WHERE not "strike"."removed";--> statement-breakpoint
CREATE INDEX "strike_said_by" ON "strike" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "revision_said_by" ON "strike_revision" USING btree ("said_by");--> statement-breakpoint
DROP INDEX "correction_of_trainee";--> statement-breakpoint
CREATE INDEX "correction_of_trainee" ON "correction" USING btree ("trainee_id","recheck_on","id");--> statement-breakpoint
CREATE INDEX "correction_opened_in" ON "correction" USING btree ("opened_in");--> statement-breakpoint
CREATE INDEX "correction_due" ON "correction" USING btree ("recheck_on","id") WHERE "correction"."state" = 'open';--> statement-breakpoint
CREATE UNIQUE INDEX "one_open_correction" ON "correction" USING btree ("trainee_id","technique","checkpoint_id") WHERE "correction"."state" = 'open';--> statement-breakpoint
CREATE INDEX "event_of_session" ON "correction_event" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "event_said_by" ON "correction_event" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "still_of_film" ON "reference_still" USING btree ("film_id");
