ALTER TABLE "training_session" ADD COLUMN "shown_to_club" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE INDEX "training_session_shown" ON "training_session" USING btree ("held_on","id") WHERE "training_session"."shown_to_club";--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "shown_once_released" CHECK (not "training_session"."shown_to_club" or "training_session"."released_at" is not null);--> statement-breakpoint
DROP TRIGGER journal ON "training_session";--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "training_session" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'held_on,rung,released_at,shown_to_club');
