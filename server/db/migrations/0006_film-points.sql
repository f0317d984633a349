CREATE TABLE "film_points" (
	"film_id" uuid NOT NULL,
	"from_frame" integer NOT NULL,
	"frames" integer NOT NULL,
	"model" text NOT NULL,
	"version" smallint NOT NULL,
	"packed" "bytea" NOT NULL,
	CONSTRAINT "film_points_film_id_from_frame_pk" PRIMARY KEY("film_id","from_frame"),
	CONSTRAINT "points_of_frames" CHECK ("film_points"."frames" > 0)
);
--> statement-breakpoint
ALTER TABLE "film_points" ADD CONSTRAINT "film_points_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;