CREATE TABLE "counted_measure" (
	"checkpoint_id" text PRIMARY KEY NOT NULL,
	"said_by" uuid,
	"said_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "measured_strike" (
	"strike_id" uuid PRIMARY KEY NOT NULL,
	"made_of" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "strike_measure" (
	"strike_id" uuid NOT NULL,
	"checkpoint_id" text NOT NULL,
	"value" double precision NOT NULL,
	"doubt" double precision NOT NULL,
	"shared" double precision NOT NULL,
	CONSTRAINT "strike_measure_strike_id_checkpoint_id_pk" PRIMARY KEY("strike_id","checkpoint_id"),
	CONSTRAINT "shared_is_part_of_doubt" CHECK (0 <= "strike_measure"."shared" and "strike_measure"."shared" <= "strike_measure"."doubt")
);
--> statement-breakpoint
ALTER TABLE "counted_measure" ADD CONSTRAINT "counted_measure_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measured_strike" ADD CONSTRAINT "measured_strike_strike_id_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."strike"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "strike_measure" ADD CONSTRAINT "strike_measure_strike_id_measured_strike_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."measured_strike"("strike_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "counted_said_by" ON "counted_measure" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "measures_of_checkpoint" ON "strike_measure" USING btree ("checkpoint_id");