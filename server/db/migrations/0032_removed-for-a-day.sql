CREATE TABLE "removal" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"thing" uuid NOT NULL,
	"trainee_id" uuid NOT NULL,
	"says" text NOT NULL,
	"removed_by" uuid,
	"removed_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "removable_is_known" CHECK ("removal"."kind" in ('trainee', 'training_session', 'film'))
);
--> statement-breakpoint
CREATE TABLE "removed_row" (
	"removal_id" uuid NOT NULL,
	"of_table" text NOT NULL,
	"key" text NOT NULL,
	"depth" smallint NOT NULL,
	"says" jsonb NOT NULL,
	"pointed" jsonb,
	CONSTRAINT "removed_row_removal_id_of_table_key_pk" PRIMARY KEY("removal_id","of_table","key")
);
--> statement-breakpoint
ALTER TABLE "removal" ADD CONSTRAINT "removal_removed_by_account_id_fk" FOREIGN KEY ("removed_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "removed_row" ADD CONSTRAINT "removed_row_removal_id_removal_id_fk" FOREIGN KEY ("removal_id") REFERENCES "public"."removal"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "removal_by_time" ON "removal" USING btree ("removed_at");--> statement-breakpoint
CREATE INDEX "removal_removed_by" ON "removal" USING btree ("removed_by");--> statement-breakpoint
CREATE OR REPLACE FUNCTION write_journal() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  who uuid := nullif(current_setting('wax.account', true), '')::uuid;
  told text[] := string_to_array(TG_ARGV[2], ',');
  was jsonb := '{}';
  is_now jsonb := '{}';
  thing jsonb;
  changed text[];
  about uuid;
BEGIN
  -- What the club's own workers do, and what goes along with something that is removed, or comes back with it, is no act of somebody.
  IF who IS NULL OR pg_trigger_depth() > 1 OR current_setting('wax.goes_along', true) = 'on' THEN RETURN NULL; END IF;
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
CREATE TRIGGER journal AFTER INSERT OR DELETE ON "removal" FOR EACH ROW EXECUTE FUNCTION write_journal('thing', 'trainee_id', 'kind');
