CREATE TABLE "compared_level" (
	"correction_id" uuid NOT NULL,
	"condition" text NOT NULL,
	"first_rung" smallint NOT NULL,
	"second_rung" smallint NOT NULL,
	"made_of" text NOT NULL,
	"compared" jsonb NOT NULL,
	CONSTRAINT "compared_level_correction_id_condition_first_rung_second_rung_pk" PRIMARY KEY("correction_id","condition","first_rung","second_rung"),
	CONSTRAINT "condition_is_known" CHECK ("compared_level"."condition" in ('tired', 'rung', 'lead')),
	CONSTRAINT "compared_rungs_on_ladder" CHECK ("compared_level"."first_rung" between 1 and 7 and "compared_level"."second_rung" between 1 and 7)
);
--> statement-breakpoint
ALTER TABLE "compared_level" ADD CONSTRAINT "compared_level_correction_id_correction_id_fk" FOREIGN KEY ("correction_id") REFERENCES "public"."correction"("id") ON DELETE cascade ON UPDATE no action;