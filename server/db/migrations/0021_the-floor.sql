CREATE TABLE "drill" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"rung" smallint NOT NULL,
	"says" jsonb NOT NULL,
	"added_by" uuid,
	"added_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "drill_rung_on_ladder" CHECK ("drill"."rung" between 1 and 7)
);
--> statement-breakpoint
CREATE TABLE "body_limit" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trainee_id" uuid NOT NULL,
	"part" text NOT NULL,
	"since" date NOT NULL,
	"until" date,
	"note" text DEFAULT '' NOT NULL,
	"cleared_by" text DEFAULT '' NOT NULL,
	"said_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "body_part_is_known" CHECK ("body_limit"."part" in ('hand', 'wrist', 'elbow', 'shoulder', 'neck', 'back', 'hip', 'knee', 'ankle', 'head')),
	CONSTRAINT "limit_ends_after_it_began" CHECK ("body_limit"."until" >= "body_limit"."since"),
	CONSTRAINT "head_is_cleared" CHECK ("body_limit"."part" <> 'head' or "body_limit"."until" is null or "body_limit"."cleared_by" <> '')
);
--> statement-breakpoint
CREATE TABLE "plan" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trainee_id" uuid NOT NULL,
	"planned_on" date NOT NULL,
	"length" integer NOT NULL,
	"impact" smallint NOT NULL,
	"says" jsonb NOT NULL,
	"done_on" date,
	"done" jsonb,
	"made_by" uuid,
	"made_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "plan_has_minutes" CHECK ("plan"."length" between 300 and 14400),
	CONSTRAINT "impact_is_a_count" CHECK ("plan"."impact" >= 0),
	CONSTRAINT "done_with_its_day" CHECK (("plan"."done_on" is null) = ("plan"."done" is null))
);
--> statement-breakpoint
CREATE TABLE "plan_session" (
	"session_id" uuid PRIMARY KEY NOT NULL,
	"plan_id" uuid NOT NULL
);
--> statement-breakpoint
ALTER TABLE "drill" ADD CONSTRAINT "drill_added_by_account_id_fk" FOREIGN KEY ("added_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "body_limit" ADD CONSTRAINT "body_limit_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan" ADD CONSTRAINT "plan_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan" ADD CONSTRAINT "plan_made_by_account_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_session" ADD CONSTRAINT "plan_session_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plan_session" ADD CONSTRAINT "plan_session_plan_id_plan_id_fk" FOREIGN KEY ("plan_id") REFERENCES "public"."plan"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "drill_by_name" ON "drill" USING btree ("name","id");--> statement-breakpoint
CREATE INDEX "drill_added_by" ON "drill" USING btree ("added_by");--> statement-breakpoint
CREATE INDEX "body_limit_of_trainee" ON "body_limit" USING btree ("trainee_id","since");--> statement-breakpoint
CREATE INDEX "plan_of_trainee" ON "plan" USING btree ("trainee_id","planned_on","id");--> statement-breakpoint
CREATE INDEX "plan_of_day" ON "plan" USING btree ("planned_on");--> statement-breakpoint
CREATE INDEX "plan_made_by" ON "plan" USING btree ("made_by");--> statement-breakpoint
CREATE INDEX "session_of_plan" ON "plan_session" USING btree ("plan_id");