CREATE TABLE "second_pass_points" (
	"film_id" uuid NOT NULL,
	"from_frame" integer NOT NULL,
	"frames" integer NOT NULL,
	"model" text NOT NULL,
	"version" smallint NOT NULL,
	"packed" "bytea" NOT NULL,
	"revision" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "second_pass_points_film_id_from_frame_pk" PRIMARY KEY("film_id","from_frame"),
	CONSTRAINT "second_pass_of_frames" CHECK ("second_pass_points"."frames" > 0)
);
--> statement-breakpoint
ALTER TABLE "second_pass_points" ADD CONSTRAINT "second_pass_points_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;