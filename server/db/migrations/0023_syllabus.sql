CREATE TABLE "closure" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"from_day" date NOT NULL,
	"to_day" date NOT NULL,
	CONSTRAINT "closure_in_order" CHECK ("closure"."to_day" >= "closure"."from_day")
);
--> statement-breakpoint
CREATE TABLE "course" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"place" smallint NOT NULL,
	"says" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "grade_test" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trainee_id" uuid NOT NULL,
	"course" jsonb NOT NULL,
	"held_on" date NOT NULL,
	"sheet" jsonb NOT NULL,
	"outcome" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"before" jsonb,
	"held_by" uuid,
	"written_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "outcome_is_known" CHECK ("grade_test"."outcome" in ('open', 'passed', 'not-yet'))
);
--> statement-breakpoint
CREATE TABLE "kept_readiness" (
	"trainee_id" uuid PRIMARY KEY NOT NULL,
	"made_of" text NOT NULL,
	"readiness" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "on_course" (
	"trainee_id" uuid PRIMARY KEY NOT NULL,
	"course_id" uuid NOT NULL,
	"begun_on" date NOT NULL,
	"test_on" date,
	"revision" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "test_after_beginning" CHECK ("on_course"."test_on" > "on_course"."begun_on")
);
--> statement-breakpoint
ALTER TABLE "grade_test" ADD CONSTRAINT "grade_test_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grade_test" ADD CONSTRAINT "grade_test_held_by_account_id_fk" FOREIGN KEY ("held_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kept_readiness" ADD CONSTRAINT "kept_readiness_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "on_course" ADD CONSTRAINT "on_course_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "on_course" ADD CONSTRAINT "on_course_course_id_course_id_fk" FOREIGN KEY ("course_id") REFERENCES "public"."course"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "test_of_trainee" ON "grade_test" USING btree ("trainee_id","held_on","id");--> statement-breakpoint
CREATE INDEX "test_held_by" ON "grade_test" USING btree ("held_by");--> statement-breakpoint
CREATE INDEX "trainees_of_course" ON "on_course" USING btree ("course_id");--> statement-breakpoint
CREATE INDEX "test_by_day" ON "on_course" USING btree ("test_on");