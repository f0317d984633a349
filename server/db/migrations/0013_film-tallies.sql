CREATE TABLE "film_tally" (
	"film_id" uuid NOT NULL,
	"technique" text NOT NULL,
	"checkpoint_id" text NOT NULL,
	"view" text NOT NULL,
	"clean" integer NOT NULL,
	"watch" integer NOT NULL,
	"fault" integer NOT NULL,
	"cant_see" integer NOT NULL,
	CONSTRAINT "film_tally_film_id_technique_checkpoint_id_view_pk" PRIMARY KEY("film_id","technique","checkpoint_id","view"),
	CONSTRAINT "tally_view_is_known" CHECK ("film_tally"."view" in ('front', 'rear', 'lead-side', 'rear-side', 'quarter'))
);
--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "tallied" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "film_tally" ADD CONSTRAINT "film_tally_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "film_to_tally" ON "film" USING btree ("session_id") WHERE not "film"."tallied";