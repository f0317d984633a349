CREATE TABLE "second_marking" (
	"film_id" uuid PRIMARY KEY NOT NULL,
	"coach_id" uuid NOT NULL,
	"asked_by" uuid,
	"asked_at" timestamp with time zone DEFAULT now() NOT NULL,
	"done_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "second_word" (
	"id" uuid PRIMARY KEY NOT NULL,
	"strike_id" uuid NOT NULL,
	"checkpoint_id" text NOT NULL,
	"verdict" text,
	"note" text,
	"view" text NOT NULL,
	"anyway" boolean DEFAULT false NOT NULL,
	"checklist_version" integer NOT NULL,
	"said_by" uuid NOT NULL,
	"said_at" timestamp (3) with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"superseded" boolean DEFAULT false NOT NULL,
	CONSTRAINT "second_verdict_is_known" CHECK ("second_word"."verdict" in ('clean', 'watch', 'fault', 'cant-see')),
	CONSTRAINT "second_view_is_known" CHECK ("second_word"."view" in ('front', 'rear', 'lead-side', 'rear-side', 'quarter'))
);
--> statement-breakpoint
CREATE TABLE "review_effort" (
	"id" uuid PRIMARY KEY NOT NULL,
	"film_id" uuid NOT NULL,
	"said_by" uuid NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"worked" double precision NOT NULL,
	"presses" integer NOT NULL,
	CONSTRAINT "effort_is_some" CHECK ("review_effort"."worked" >= 0 and "review_effort"."presses" >= 0)
);
--> statement-breakpoint
CREATE TABLE "own_order" (
	"id" uuid PRIMARY KEY NOT NULL,
	"session_id" uuid NOT NULL,
	"placed" jsonb NOT NULL,
	"reason" text NOT NULL,
	"said_by" uuid,
	"at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "own_order_has_a_reason" CHECK ("own_order"."placed" = '[]'::jsonb or "own_order"."reason" <> '')
);
--> statement-breakpoint
DROP INDEX "observation_said_by";--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "stance" text;--> statement-breakpoint
ALTER TABLE "observation" ADD COLUMN "proposed" text;--> statement-breakpoint
ALTER TABLE "reference_still" ADD COLUMN "from_frame" integer;--> statement-breakpoint
ALTER TABLE "reference_still" ADD COLUMN "to_frame" integer;--> statement-breakpoint
ALTER TABLE "second_marking" ADD CONSTRAINT "second_marking_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "second_marking" ADD CONSTRAINT "second_marking_coach_id_account_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "second_marking" ADD CONSTRAINT "second_marking_asked_by_account_id_fk" FOREIGN KEY ("asked_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "second_word" ADD CONSTRAINT "second_word_strike_id_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."strike"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "second_word" ADD CONSTRAINT "second_word_checklist_version_checklist_version_version_fk" FOREIGN KEY ("checklist_version") REFERENCES "public"."checklist_version"("version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "second_word" ADD CONSTRAINT "second_word_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "review_effort" ADD CONSTRAINT "review_effort_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "review_effort" ADD CONSTRAINT "review_effort_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_order" ADD CONSTRAINT "own_order_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_order" ADD CONSTRAINT "own_order_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "second_marking_of_coach" ON "second_marking" USING btree ("coach_id","done_at");--> statement-breakpoint
CREATE INDEX "second_marking_asked_by" ON "second_marking" USING btree ("asked_by");--> statement-breakpoint
CREATE UNIQUE INDEX "one_second_word_counts" ON "second_word" USING btree ("strike_id","checkpoint_id","said_by") WHERE not "second_word"."superseded";--> statement-breakpoint
CREATE INDEX "second_word_of_version" ON "second_word" USING btree ("checklist_version");--> statement-breakpoint
CREATE INDEX "second_word_said_by" ON "second_word" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "effort_of_film" ON "review_effort" USING btree ("film_id");--> statement-breakpoint
CREATE INDEX "effort_by_time" ON "review_effort" USING btree ("at");--> statement-breakpoint
CREATE INDEX "effort_said_by" ON "review_effort" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "own_order_of_session" ON "own_order" USING btree ("session_id","at");--> statement-breakpoint
CREATE INDEX "own_order_said_by" ON "own_order" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "observation_said_by" ON "observation" USING btree ("said_by","said_at");--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "film_stance_is_known" CHECK ("film"."stance" in ('orthodox', 'southpaw'));--> statement-breakpoint
ALTER TABLE "observation" ADD CONSTRAINT "proposed_is_known" CHECK ("observation"."proposed" in ('clean', 'watch', 'fault', 'cant-see'));--> statement-breakpoint
ALTER TABLE "reference_still" ADD CONSTRAINT "still_lies_in_its_strike" CHECK (("reference_still"."from_frame" is null) = ("reference_still"."to_frame" is null) and ("reference_still"."from_frame" is null or 0 <= "reference_still"."from_frame" and "reference_still"."from_frame" <= "reference_still"."frame" and "reference_still"."frame" <= "reference_still"."to_frame"));