CREATE TABLE "journal" (
	"id" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "journal_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"at" timestamp with time zone NOT NULL,
	"account_id" uuid,
	"act" text NOT NULL,
	"kind" text NOT NULL,
	"thing" text NOT NULL,
	"trainee_id" uuid,
	"fields" text[] DEFAULT '{}' NOT NULL,
	"values" jsonb,
	CONSTRAINT "journal_act_is_known" CHECK ("journal"."act" in ('saw', 'added', 'changed', 'removed'))
);
--> statement-breakpoint
CREATE INDEX "journal_by_time" ON "journal" USING btree ("at","id");--> statement-breakpoint
CREATE INDEX "journal_of_account" ON "journal" USING btree ("account_id","at");--> statement-breakpoint
CREATE INDEX "journal_of_trainee" ON "journal" USING btree ("trainee_id","at");--> statement-breakpoint
CREATE UNIQUE INDEX "journal_seen_once" ON "journal" USING btree (date_trunc('hour', at at time zone 'utc'),coalesce(account_id, '00000000-0000-0000-0000-000000000000'),"kind","thing") WHERE act = 'saw';--> statement-breakpoint
/* Writes what somebody does to a row, in the transaction that does it. Its words: the column that names the thing, the column that leads
   to the trainee, and the columns of which what they were and are may be kept. */
CREATE FUNCTION write_journal() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  who uuid := nullif(current_setting('wax.account', true), '')::uuid;
  told text[] := string_to_array(TG_ARGV[2], ',');
  was jsonb := '{}';
  is_now jsonb := '{}';
  thing jsonb;
  changed text[];
  about uuid;
BEGIN
  -- What the club's own workers do, and what goes along with something that is removed, is no act of somebody.
  IF who IS NULL OR pg_trigger_depth() > 1 THEN RETURN NULL; END IF;
  IF TG_OP <> 'INSERT' THEN was := to_jsonb(OLD); END IF;
  IF TG_OP <> 'DELETE' THEN is_now := to_jsonb(NEW); END IF;
  thing := CASE WHEN TG_OP = 'DELETE' THEN was ELSE is_now END;
  IF TG_OP = 'UPDATE' THEN
    SELECT array_agg(name ORDER BY name) INTO changed FROM jsonb_object_keys(is_now) AS name WHERE was -> name IS DISTINCT FROM is_now -> name;
    IF changed IS NULL THEN RETURN NULL; END IF;
  END IF;
  about := CASE TG_ARGV[1]
    WHEN '' THEN NULL
    WHEN 'session_id' THEN (SELECT trainee_id FROM training_session WHERE id = (thing ->> 'session_id')::uuid)
    WHEN 'film_id' THEN (SELECT trainee_id FROM training_session JOIN film ON film.session_id = training_session.id WHERE film.id = (thing ->> 'film_id')::uuid)
    WHEN 'correction_id' THEN (SELECT trainee_id FROM correction WHERE id = (thing ->> 'correction_id')::uuid)
    ELSE (thing ->> TG_ARGV[1])::uuid
  END;
  INSERT INTO journal (at, account_id, act, kind, thing, trainee_id, fields, "values") VALUES (
    clock_timestamp(), who, CASE TG_OP WHEN 'INSERT' THEN 'added' WHEN 'UPDATE' THEN 'changed' ELSE 'removed' END,
    TG_TABLE_NAME, thing ->> TG_ARGV[0], about, coalesce(changed, '{}'),
    (SELECT jsonb_object_agg(name, jsonb_build_array(was -> name, is_now -> name)) FROM unnest(told) AS name
      WHERE was -> name IS DISTINCT FROM is_now -> name));
  RETURN NULL;
END $$;
--> statement-breakpoint
CREATE FUNCTION keep_journal() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- Only what is old goes, and only when that is what is being done.
  IF TG_OP = 'DELETE' AND current_setting('wax.journal_ends', true) = 'on' THEN
    IF OLD.at < now() - interval '30 days' THEN RETURN OLD; END IF;
  END IF;
  RAISE EXCEPTION 'The journal is only written to.' USING ERRCODE = 'insufficient_privilege';
END $$;
--> statement-breakpoint
CREATE TRIGGER journal_is_kept BEFORE UPDATE OR DELETE ON "journal" FOR EACH ROW EXECUTE FUNCTION keep_journal();
--> statement-breakpoint
CREATE TRIGGER journal_is_not_emptied BEFORE TRUNCATE ON "journal" FOR EACH STATEMENT EXECUTE FUNCTION keep_journal();
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "trainee" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'id', 'grade,school_id');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "training_session" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'held_on,rung,released_at');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "film" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'session_id', 'view,done,state');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "film_hits" FOR EACH ROW EXECUTE FUNCTION write_journal('film_id', 'film_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "film_alignment" FOR EACH ROW EXECUTE FUNCTION write_journal('film_id', 'film_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "note" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'session_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "correction" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'state,rung,target,recheck_on');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "card_link" FOR EACH ROW EXECUTE FUNCTION write_journal('correction_id', 'correction_id', 'ends_at');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "card_still" FOR EACH ROW EXECUTE FUNCTION write_journal('correction_id', 'correction_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "second_marking" FOR EACH ROW EXECUTE FUNCTION write_journal('film_id', 'film_id', 'coach_id');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "plan" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'planned_on,done_on');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "body_limit" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "consent" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'seen_by,until,withdrawn_at');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "grade_test" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'outcome');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "on_course" FOR EACH ROW EXECUTE FUNCTION write_journal('trainee_id', 'trainee_id', 'course_id,test_on');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "montage" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'session_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "archive" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'trainee_id', 'kind,state');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "account" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', 'role');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "own_trainee" FOR EACH ROW EXECUTE FUNCTION write_journal('account_id', 'trainee_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "entry_link" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', 'kind,role');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "drill" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "course" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "closure" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', 'from_day,to_day');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "school" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', 'club_default');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "call_book" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "call_set" FOR EACH ROW EXECUTE FUNCTION write_journal('id', '', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "checklist_version" FOR EACH ROW EXECUTE FUNCTION write_journal('version', '', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "reference_still" FOR EACH ROW EXECUTE FUNCTION write_journal('technique', 'film_id', '');
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "counted_measure" FOR EACH ROW EXECUTE FUNCTION write_journal('checkpoint_id', '', '');
