CREATE TYPE "public"."role" AS ENUM('head-coach', 'coach', 'trainee');--> statement-breakpoint
CREATE TYPE "public"."grade" AS ENUM('beginner', 'improver', 'advanced');--> statement-breakpoint
CREATE TYPE "public"."stance" AS ENUM('orthodox', 'southpaw');--> statement-breakpoint
CREATE TYPE "public"."round_kind" AS ENUM('heavy bag', 'long bag', 'fixed pole', 'uppercut bag', 'speed bag', 'reflex bag', 'focus mitts', 'Thai pads', 'kick shield', 'paddle', 'body shield', 'shadowboxing');--> statement-breakpoint
CREATE TYPE "public"."clip_state" AS ENUM('waiting', 'working', 'ready', 'failed', 'stopped');--> statement-breakpoint
CREATE TYPE "public"."import_step" AS ENUM('probe', 'review-copy', 'timeline', 'film-strip', 'sound', 'hits', 'views', 'motion');--> statement-breakpoint
CREATE TYPE "public"."step_state" AS ENUM('waiting', 'working', 'done', 'skipped', 'failed', 'stopped');--> statement-breakpoint
CREATE TYPE "public"."view" AS ENUM('front', 'rear', 'lead-side', 'rear-side', 'quarter');--> statement-breakpoint
CREATE TYPE "public"."round_manner" AS ENUM('rung', 'called', 'free');--> statement-breakpoint
CREATE TYPE "public"."technique" AS ENUM('jab', 'cross');--> statement-breakpoint
CREATE TYPE "public"."verdict" AS ENUM('clean', 'watch', 'fault', 'cant-see');--> statement-breakpoint
CREATE TYPE "public"."correction_event_kind" AS ENUM('opened', 'cue-given', 're-checked', 'closed', 're-opened');--> statement-breakpoint
CREATE TABLE "account" (
	"id" uuid PRIMARY KEY NOT NULL,
	"email" text NOT NULL,
	"name" text NOT NULL,
	"password_hash" text NOT NULL,
	"role" "role" NOT NULL,
	"trainee_id" uuid,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "account_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "sign_in" (
	"sid" text PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trainee" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"stance" "stance" NOT NULL,
	"grade" "grade" NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "training_session" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trainee_id" uuid NOT NULL,
	"held_on" date NOT NULL,
	"place" text DEFAULT '' NOT NULL,
	"kit" text DEFAULT '' NOT NULL,
	"round_kind" "round_kind" NOT NULL,
	"rung" smallint NOT NULL,
	"school_note" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "rung_on_ladder" CHECK ("training_session"."rung" between 1 and 7)
);
--> statement-breakpoint
CREATE TABLE "clip" (
	"id" uuid PRIMARY KEY NOT NULL,
	"session_id" uuid NOT NULL,
	"view" "view" NOT NULL,
	"file_name" text NOT NULL,
	"bytes" bigint NOT NULL,
	"sha256" text,
	"state" "clip_state" DEFAULT 'waiting' NOT NULL,
	"remark" text,
	"duration" double precision,
	"frames" integer,
	"first_frame_at" double precision,
	"width" integer,
	"height" integer,
	"has_sound" boolean DEFAULT false NOT NULL,
	"strip_pictures" integer,
	"strip_width" integer,
	"strip_height" integer,
	"timeline" "bytea",
	"loudness" "bytea",
	"done" boolean DEFAULT false NOT NULL,
	"added_by" uuid,
	"added_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "ready_means_playable" CHECK ("clip"."state" <> 'ready' or ("clip"."timeline" is not null and "clip"."frames" > 0))
);
--> statement-breakpoint
CREATE TABLE "clip_step" (
	"clip_id" uuid NOT NULL,
	"step" "import_step" NOT NULL,
	"state" "step_state" DEFAULT 'waiting' NOT NULL,
	"progress" double precision DEFAULT 0 NOT NULL,
	"attempts" smallint DEFAULT 0 NOT NULL,
	"worker" text,
	"reason" text,
	"started_at" timestamp with time zone,
	"touched_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "clip_step_clip_id_step_pk" PRIMARY KEY("clip_id","step"),
	CONSTRAINT "progress_is_a_share" CHECK ("clip_step"."progress" between 0 and 1),
	CONSTRAINT "work_has_a_worker" CHECK ("clip_step"."state" <> 'working' or "clip_step"."worker" is not null)
);
--> statement-breakpoint
CREATE TABLE "worker_sign" (
	"worker" text PRIMARY KEY NOT NULL,
	"seen_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "clip_alignment" (
	"clip_id" uuid NOT NULL,
	"other_id" uuid NOT NULL,
	"offset" double precision NOT NULL,
	"drift" double precision NOT NULL,
	"fit" double precision,
	CONSTRAINT "clip_alignment_clip_id_other_id_pk" PRIMARY KEY("clip_id","other_id"),
	CONSTRAINT "pair_once" CHECK ("clip_alignment"."clip_id" < "clip_alignment"."other_id")
);
--> statement-breakpoint
CREATE TABLE "clip_moments" (
	"clip_id" uuid PRIMARY KEY NOT NULL,
	"sound" jsonb,
	"motion" jsonb,
	"rings" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"edits" jsonb,
	"version" integer DEFAULT 0 NOT NULL,
	"changed_by" uuid,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "round" (
	"id" uuid PRIMARY KEY NOT NULL,
	"clip_id" uuid NOT NULL,
	"name" text NOT NULL,
	"starts_at" double precision NOT NULL,
	"ends_at" double precision NOT NULL,
	"kind" "round_kind" NOT NULL,
	"manner" "round_manner" NOT NULL,
	"proposed" boolean NOT NULL,
	CONSTRAINT "round_begins_once" UNIQUE("clip_id","starts_at"),
	CONSTRAINT "round_lasts" CHECK (0 <= "round"."starts_at" and "round"."starts_at" < "round"."ends_at")
);
--> statement-breakpoint
CREATE TABLE "observation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"strike_id" uuid NOT NULL,
	"checkpoint_id" text NOT NULL,
	"verdict" "verdict",
	"note" text,
	"view" "view" NOT NULL,
	"checklist_version" integer NOT NULL,
	"said_by" uuid,
	"said_at" timestamp (3) with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"superseded" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "strike" (
	"id" uuid PRIMARY KEY NOT NULL,
	"clip_id" uuid NOT NULL,
	"technique" "technique" NOT NULL,
	"launch_frame" integer NOT NULL,
	"contact_frame" integer NOT NULL,
	"home_frame" integer NOT NULL,
	"removed" boolean NOT NULL,
	"said_at" timestamp (3) with time zone NOT NULL,
	"revision_id" uuid NOT NULL,
	"said_by" uuid,
	CONSTRAINT "moments_in_order" CHECK (0 <= "strike"."launch_frame" and "strike"."launch_frame" <= "strike"."contact_frame" and "strike"."contact_frame" <= "strike"."home_frame")
);
--> statement-breakpoint
CREATE TABLE "strike_revision" (
	"id" uuid PRIMARY KEY NOT NULL,
	"strike_id" uuid NOT NULL,
	"technique" "technique" NOT NULL,
	"launch_frame" integer NOT NULL,
	"contact_frame" integer NOT NULL,
	"home_frame" integer NOT NULL,
	"removed" boolean NOT NULL,
	"said_at" timestamp (3) with time zone NOT NULL,
	"said_by" uuid,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "correction" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trainee_id" uuid NOT NULL,
	"checkpoint_id" text NOT NULL,
	"technique" "technique" NOT NULL,
	"cue" text NOT NULL,
	"target" double precision NOT NULL,
	"opened_in" uuid NOT NULL,
	"recheck_on" date,
	CONSTRAINT "target_is_a_share" CHECK ("correction"."target" between 0 and 1)
);
--> statement-breakpoint
CREATE TABLE "correction_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"correction_id" uuid NOT NULL,
	"kind" "correction_event_kind" NOT NULL,
	"session_id" uuid,
	"note" text DEFAULT '' NOT NULL,
	"tally" jsonb,
	"said_by" uuid,
	"at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "training_session" ADD CONSTRAINT "training_session_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip" ADD CONSTRAINT "clip_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip" ADD CONSTRAINT "clip_added_by_account_id_fk" FOREIGN KEY ("added_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip_step" ADD CONSTRAINT "clip_step_clip_id_clip_id_fk" FOREIGN KEY ("clip_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip_alignment" ADD CONSTRAINT "clip_alignment_clip_id_clip_id_fk" FOREIGN KEY ("clip_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip_alignment" ADD CONSTRAINT "clip_alignment_other_id_clip_id_fk" FOREIGN KEY ("other_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip_moments" ADD CONSTRAINT "clip_moments_clip_id_clip_id_fk" FOREIGN KEY ("clip_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clip_moments" ADD CONSTRAINT "clip_moments_changed_by_account_id_fk" FOREIGN KEY ("changed_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_clip_id_clip_id_fk" FOREIGN KEY ("clip_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_strike_id_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."strike"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "observation_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "strike_clip_id_clip_id_fk" FOREIGN KEY ("clip_id") REFERENCES "public"."clip"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "strike_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strike_revision" ADD CONSTRAINT "strike_revision_strike_id_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."strike"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strike_revision" ADD CONSTRAINT "strike_revision_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction" ADD CONSTRAINT "correction_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction" ADD CONSTRAINT "correction_opened_in_training_session_id_fk" FOREIGN KEY ("opened_in") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "correction_event_correction_id_correction_id_fk" FOREIGN KEY ("correction_id") REFERENCES "public"."correction"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "correction_event_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correction_event" ADD CONSTRAINT "correction_event_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "sign_in_expire" ON "sign_in" USING btree ("expire");--> statement-breakpoint
CREATE INDEX "training_session_of_trainee" ON "training_session" USING btree ("trainee_id","held_on");--> statement-breakpoint
CREATE INDEX "clip_of_session" ON "clip" USING btree ("session_id");--> statement-breakpoint
CREATE INDEX "clip_by_hash" ON "clip" USING btree ("sha256");--> statement-breakpoint
CREATE INDEX "step_under_way" ON "clip_step" USING btree ("touched_at") WHERE "clip_step"."state" in ('waiting', 'working');--> statement-breakpoint
CREATE UNIQUE INDEX "one_observation_counts" ON "observation" USING btree ("strike_id","checkpoint_id") WHERE not "observation"."superseded";--> statement-breakpoint
CREATE INDEX "observation_of_strike" ON "observation" USING btree ("strike_id","checkpoint_id");--> statement-breakpoint
CREATE INDEX "strike_of_clip" ON "strike" USING btree ("clip_id","contact_frame");--> statement-breakpoint
CREATE INDEX "revision_of_strike" ON "strike_revision" USING btree ("strike_id");--> statement-breakpoint
CREATE INDEX "correction_of_trainee" ON "correction" USING btree ("trainee_id");--> statement-breakpoint
CREATE INDEX "event_of_correction" ON "correction_event" USING btree ("correction_id","at");--> statement-breakpoint
CREATE EXTENSION IF NOT EXISTS btree_gist;
--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "rounds_do_not_overlap" EXCLUDE USING gist ("clip_id" WITH =, numrange("starts_at"::numeric, "ends_at"::numeric) WITH &&);
